import type { Notice, NoticeKind } from '@oilcan/core';

/** Each kind as a person chooses it. */
export const noticeKindWords: Readonly<Record<NoticeKind, string>> = {
  given: 'Work is given to me',
  late: 'Work of mine is late',
  handedBack: 'Work of mine is handed back',
  changed: 'Something I follow changes',
  short: 'Parts are short for tomorrow',
};

const headlines: Readonly<Record<NoticeKind, string>> = {
  given: 'Given to you',
  late: 'Late',
  handedBack: 'Handed back',
  changed: 'Changed',
  short: 'Parts short for tomorrow',
};

/** `Handed back: still wet`. */
export function noticeHeadline({ kind, detail }: Pick<Notice, 'kind' | 'detail'>): string {
  return detail === '' ? headlines[kind] : `${headlines[kind]}: ${detail}`;
}
