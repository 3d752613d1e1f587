import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { addDays, localDate, timeOfDay, type LocalDay } from '../../../kernel/time/local-day';
import type { Zone } from '../../../kernel/time/zone';
import { currentOf, type Entry } from '../../orders/work/entries';

/** Nobody writes down later than this what they did. */
const LONGEST_AGO_DAYS = 366;
/** Where nobody wrote down when, it was done by this time of its day. */
const MIDDAY_MINUTES = 12 * 60;

/**
 * When work was done that is finished on a later day: at the end of the last time that is recorded of that day, or at midday where none is.
 *
 * @param doneOn the day that was said; undefined for none
 * @param at when it is finished
 * @returns null where it was done on the day on which it is finished; `wrong` for a day that is not yet, or too long ago
 */
export function doneEarlier(
  doneOn: LocalDay | undefined,
  entries: readonly Entry[],
  zone: Zone,
  at: Instant,
): Instant | null | 'wrong' {
  const today = localDate(at, zone);
  if (doneOn === undefined || doneOn === today) return null;
  if (doneOn > today || doneOn < addDays(today, -LONGEST_AGO_DAYS)) return 'wrong';
  const ends = currentOf(entries, 'labor')
    .map(({ content: { startedAt, minutes } }) => addMinutes(startedAt, minutes))
    .filter((end) => localDate(end, zone) === doneOn && end <= at)
    .sort();
  return ends.at(-1) ?? timeOfDay(doneOn, MIDDAY_MINUTES, zone);
}
