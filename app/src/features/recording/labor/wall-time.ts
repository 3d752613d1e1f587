import { addMinutes, latestTyped, toMillis, type Instant } from '@oilcan/core/kernel';

/** The first time after `start`, within a day, at which the clock on the wall showed this; null for what is no time. */
export function firstWallTimeAfter(text: string, start: Instant, zone: string): Instant | null {
  const latest = latestTyped(text, addMinutes(start, 24 * 60), zone);
  return latest !== null && toMillis(latest) >= toMillis(start) ? latest : null;
}
