import type { Notice, NoticeKind } from '@oilcan/core/overview/notices';
import type { PathToOpen } from './path-to-open';

/** Each kind as a person chooses it. */
export const noticeKindWords: Readonly<Record<NoticeKind, string>> = {
  given: 'Work is given to me',
  late: 'Work of mine is late',
  handedBack: 'Work of mine is handed back',
  changed: 'Something I follow changes',
  short: 'Parts are short for tomorrow',
  count: 'A bin stands below zero',
  finished: 'Work is finished and waits for me',
  forYou: 'Somebody records in my name',
  timeOwed: 'Work was finished without my time',
  reported: 'A problem or an incident is reported',
  answered: 'A report of mine is answered',
  look: 'I am sent to look at something',
  goAhead: 'Raised work waits for my go-ahead',
  mayStart: 'Work of mine may start',
  postponed: 'Somebody moves work to later',
  asked: 'Something is asked of my store',
  fromStore: 'What I asked a store for is ready, or is not to be had',
};

/** Where what a notice is about is opened. */
export function pathOfNotice({ workOrderId, reportId, incidentId, requestId, transferId }: Notice): PathToOpen['open'] {
  if (workOrderId !== null) return `/shift/${workOrderId}`;
  if (requestId !== undefined || transferId !== undefined) return '/stores/asked';
  return reportId === undefined ? `/reports/incident/${incidentId ?? ''}` : `/reports/${reportId}`;
}
