import type { Limits } from '../../plant/plant/plant';

export type ReadingLevel = 'normal' | 'alert' | 'alarm';

/**
 * Which limit a value is beyond. A value on a limit is still within it (common practice);
 * alarm outranks alert.
 */
export function levelOf(value: number, limits: Limits): ReadingLevel {
  const isBeyond = (low: number | null, high: number | null): boolean =>
    (low !== null && value < low) || (high !== null && value > high);
  if (isBeyond(limits.alarmLow, limits.alarmHigh)) return 'alarm';
  return isBeyond(limits.alertLow, limits.alertHigh) ? 'alert' : 'normal';
}
