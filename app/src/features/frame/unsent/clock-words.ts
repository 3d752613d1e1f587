import { formatDuration } from '@oilcan/core/kernel';

/** A clock that is off by less is nobody's business. */
const WORTH_SAYING_MINUTES = 2;

/** That the clock of this phone is wrong, and that it does no harm; null when it is right. */
export function sayClockAhead(aheadMilliseconds: number): string | null {
  const minutes = Math.floor(Math.abs(aheadMilliseconds) / 60_000);
  if (minutes < WORTH_SAYING_MINUTES) return null;
  const much = minutes < 60 * 48 ? formatDuration(minutes) : `${Math.round(minutes / 1440)} days`;
  return `The clock of this phone is ${much} ${aheadMilliseconds > 0 ? 'ahead' : 'behind'}. Oilcan records the right time.`;
}
