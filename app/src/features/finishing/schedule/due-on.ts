import { addDays, beginOfDay, latestTyped, type Instant, type LocalDay } from '@oilcan/core/kernel';

/** What is due by a day and had no time before is due by this time of it. */
export const USUAL_DUE_TIME = '16:00';

/** When what is due by a day is due: by the usual time, or where that is over by the end of the day. */
export function dueOn(day: LocalDay, present: Instant, zone: string): Instant {
  const at = timeOn(day, USUAL_DUE_TIME, zone);
  return at !== null && at > present ? at : beginOfDay(addDays(day, 1), zone);
}

/** When the clock shows this on a day; null for what is no time. */
export function timeOn(day: LocalDay, text: string, zone: string): Instant | null {
  const at = latestTyped(text, beginOfDay(addDays(day, 1), zone), zone);
  return at !== null && at >= beginOfDay(day, zone) ? at : null;
}
