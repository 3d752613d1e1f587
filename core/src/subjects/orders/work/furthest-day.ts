import { addMinutes, type Instant } from '../../../kernel/time/instant';
import type { LocalDay } from '../../../kernel/time/local-day';

/** Work is planned, due or put off at most so far ahead: what lies further is a slip of the finger, and would never be seen again. */
const FURTHEST_DAYS = 2 * 366;

/** Whether a day or a moment lies further ahead than work is planned. */
export function isTooFar(when: LocalDay | Instant, at: Instant): boolean {
  return when.slice(0, 10) > addMinutes(at, FURTHEST_DAYS * 24 * 60).slice(0, 10);
}
