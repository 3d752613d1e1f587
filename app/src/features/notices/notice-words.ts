import type { NoticeKind } from '@oilcan/core/notices';

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
};
