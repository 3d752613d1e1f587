import { formatDuration } from '@oilcan/core/kernel';
import type { AnswerTimes, Report, ReportEvent, ReportState } from '@oilcan/core/raising/reports';
import { peekRow } from '../../../data/store/store';
import { counted } from '../../../words/work-words';

export const reportStateWords: Readonly<Record<ReportState, string>> = {
  waiting: 'Waits for an answer',
  asked: 'Asked back',
  taken: 'Worked on',
  solved: 'Solved',
  declined: 'Declined',
};

/** How a report stands, with the work on it where there is some. */
export function standingWords({ state, workOrderId, looking, events }: Report): string {
  const number = workOrderId === null ? undefined : numberOf(events);
  if (looking !== null && state === 'waiting')
    return `${peekRow('people', looking)?.name ?? 'Somebody'} goes and looks`;
  return number === undefined ? reportStateWords[state] : `${reportStateWords[state]}: ${number}`;
}

function numberOf(events: readonly ReportEvent[]): string | undefined {
  const taken = events.findLast((event) => event.is === 'taken');
  return taken?.is === 'taken' ? taken.number : undefined;
}

/** Who reported it: by name, and for somebody without an account what they said of themselves. */
export function reporterWords({ by, guest, others }: Pick<Report, 'by' | 'guest' | 'others'>): string {
  const first = by === null ? (guest?.name ?? '') : (peekRow('people', by)?.name ?? '');
  const name = first === '' ? 'Somebody by the label' : by === null ? `${first}, by the label` : first;
  return others.length === 0 ? name : `${name} and ${counted(others.length, 'other', 'others')}`;
}

/** What the reporter said of how bad it is; empty for nothing. */
export function howBadWords({ condition, danger }: Pick<Report, 'condition' | 'danger'>): string {
  const said = [
    condition === 'stopped'
      ? 'stands still'
      : condition === 'reduced'
        ? 'does not run as it should'
        : condition === null
          ? ''
          : 'runs',
    danger === true ? 'somebody is in danger' : danger === false ? 'nobody is in danger' : '',
  ].filter((words) => words !== '');
  return said.join(', ');
}

const nameOf = (id: string | null, otherwise: string): string =>
  id === null ? otherwise : (peekRow('people', id)?.name ?? 'Somebody');

/** One thing that became of a report. */
export function eventWords(event: ReportEvent): string {
  switch (event.is) {
    case 'said':
      return `${nameOf(event.by, 'The reporter')} added`;
    case 'asked':
      return `${nameOf(event.by, '')} asks`;
    case 'look':
      return `${nameOf(event.by, '')} sent ${nameOf(event.personId, '')} to look`;
    case 'confirmed':
      return `${nameOf(event.by, '')} saw it: it is so`;
    case 'machine':
      return `${nameOf(event.by, '')} said that it is ${peekRow('assets', event.assetId)?.name ?? 'another machine'}`;
    case 'taken':
      return event.isJoined
        ? `Joined to ${event.number} by ${nameOf(event.by, 'the reporter')}`
        : `Taken up as ${event.number} by ${nameOf(event.by, '')}`;
    case 'declined':
      return `${nameOf(event.by, '')} declined`;
    case 'solved':
      return `Solved by ${event.number}`;
    case 'reopened':
      return `${event.number} is worked on again`;
    case 'dropped':
      return `${event.number} was dropped`;
  }
}

/** What was said with it; empty for nothing. */
export function eventText(event: ReportEvent): string {
  if (event.is === 'declined') return event.reason;
  return event.is === 'said' || event.is === 'asked' || event.is === 'confirmed' ? event.words : '';
}

/** Above the list: how many wait, and how fast they are answered. */
export function answerTimeWords({ medianMinutes, answered, waiting }: AnswerTimes, days: number): string {
  const waits =
    waiting === 0 ? 'None waits for a first answer' : `${counted(waiting, 'waits', 'wait')} for a first answer`;
  if (medianMinutes === null) return `${waits}; none was answered in ${days} days.`;
  return `${waits}. Half of the ${answered} of the last ${days} days had one within ${formatDuration(Math.round(medianMinutes))}.`;
}
