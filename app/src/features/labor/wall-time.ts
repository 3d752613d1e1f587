import { addMinutes, latestWallTime, OilcanError, toMillis, type Instant } from '@oilcan/core/kernel';

/** The first time after `start`, within a day, at which the clock on the wall showed this; null for what is no time. */
export function firstWallTimeAfter(text: string, start: Instant, zone: string): Instant | null {
  try {
    const latest = latestWallTime(text, addMinutes(start, 24 * 60), zone);
    return toMillis(latest) >= toMillis(start) ? latest : null;
  } catch (error) {
    if (error instanceof OilcanError) return null;
    throw error;
  }
}
