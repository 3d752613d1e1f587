import type { PersonId } from '../kernel/ids';
import type { Instant } from '../kernel/time/instant';
import type { Zone } from '../kernel/time/zone';
import { detailOf, headlineOf } from '../subjects/overview/notices/notice-words';
import type { Notice } from '../subjects/overview/notices/notices';
import {
  concernsOthers,
  noticesAfter,
  type Everybody,
  type WorkChange,
} from '../subjects/overview/notices/notices-of-work';
import type { Entry } from '../subjects/orders/work/entries';
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

/** Whether somebody has to hear of an entry who does not follow its work. */
export function isForOthers(entry: Entry): boolean {
  return concernsOthers(entryKinds, entry);
}

/** What a notice tells beside its headline; empty for nothing more. */
export function noticeDetail(notice: Pick<Notice, 'facts'>, zone: Zone): string {
  return detailOf(entryKinds, notice, zone);
}

/** `Handed back: still wet`. */
export function noticeHeadline(notice: Pick<Notice, 'kind' | 'facts'>, zone: Zone): string {
  return headlineOf(entryKinds, notice, zone);
}
