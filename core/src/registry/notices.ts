import type { PersonId } from '../kernel/ids';
import type { Instant } from '../kernel/time/instant';
import type { Zone } from '../kernel/time/zone';
import { detailOf, headlineOf } from '../subjects/notices/notice-words';
import {
  isInNameOfAnother,
  noticesAfter,
  type Everybody,
  type Notice,
  type WorkChange,
} from '../subjects/notices/notices';
import type { Entry } from '../subjects/work/entries';
import { entryKinds } from './entries';

/** Whom a change concerns, each told once; see `noticesAfter`. */
export function noticesOfChange(
  change: WorkChange,
  everybody: Everybody,
  followers: readonly PersonId[],
  now: Instant,
): Notice[] {
  return noticesAfter(entryKinds, change, everybody, followers, now);
}

/** Whether an entry was made in the name of somebody else, who has to hear of it. */
export function isForAnother(entry: Entry): boolean {
  return isInNameOfAnother(entryKinds, entry);
}

/** What a notice tells beside its headline; empty for nothing more. */
export function noticeDetail(notice: Pick<Notice, 'facts'>, zone: Zone): string {
  return detailOf(entryKinds, notice, zone);
}

/** `Handed back: still wet`. */
export function noticeHeadline(notice: Pick<Notice, 'kind' | 'facts'>, zone: Zone): string {
  return headlineOf(entryKinds, notice, zone);
}
