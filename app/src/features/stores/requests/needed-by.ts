import { addMinutes, isLocalDay, localDate, timeOfDay, type Instant, type Zone } from '@oilcan/core/kernel';

/** By when something is needed, as it is chosen: at once, in two hours, in this shift, on a day, or whenever. */
export type NeededBy = 'now' | 'twoHours' | 'shift' | '' | (string & {});

/** Work begins about then on a day that is chosen. Common practice. */
const MORNING_MINUTES = 7 * 60;
const END_OF_DAY_MINUTES = 16 * 60;

/** The moment that is meant; null for whenever. */
export function momentNeeded(chosen: NeededBy, present: Instant, zone: Zone): Instant | null {
  if (chosen === 'now') return present;
  if (chosen === 'twoHours') return addMinutes(present, 120);
  if (chosen === 'shift') {
    const today = localDate(present, zone);
    const end = timeOfDay(today, END_OF_DAY_MINUTES, zone);
    // Late in the day, or by night, this shift is the next eight hours.
    return end > addMinutes(present, 60) && end < addMinutes(present, 8 * 60) ? end : addMinutes(present, 8 * 60);
  }
  return isLocalDay(chosen) ? timeOfDay(chosen, MORNING_MINUTES, zone) : null;
}
