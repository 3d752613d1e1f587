import { toMillis, type Instant } from '../../../kernel/time/instant';
import type { MeasuringPoint } from '../../plant/plant/plant';
import { meterStep, usedUpTo } from '../../steps/readings/meter';
import { afterRunning, runningDays } from './idle-season';
import type { IdleSeason } from './plan';

const DAY = 86_400_000;
/** Further ahead than this nothing is said: in days. */
const FURTHEST_DAYS = 40 * 365;
/** Student's t, 0.95, for 1 to 4 degrees of freedom (NIST/SEMATECH e-Handbook, 1.3.6.7.2). */
const T_95 = [6.314, 2.92, 2.353, 2.132];

/** When a meter comes to a value, in days counted from 1970. */
export interface MeterDue {
  readonly at: number;
  /** Nine times of ten it lies between these, if the machine runs on as it did; null where two readings are all that is known. */
  readonly spread: { readonly from: number; readonly to: number } | null;
}

type Meter = Pick<MeasuringPoint, 'latest' | 'rollsOverAt'>;

/** From where on a meter counts: what it showed then, and what it had gone on by, where that was kept. */
export interface Since {
  readonly value: number;
  readonly at: Instant | null;
  readonly used?: number | null;
}

/**
 * When a meter has gone on by so much since it showed a value; null where nothing is known of its usage, or it would take decades.
 * Its usage per day that the machine runs comes from its readings; how evenly it came says how far the day may be off: the time
 * until a level of a Wiener process with drift (mean R/r, variance R s²/r³), with the doubt in the rate itself beside it.
 */
export function meterDue(meter: Meter, since: Since, every: number, idle: readonly IdleSeason[]): MeterDue | null {
  const readings = meter.latest;
  const last = readings.at(-1);
  if (last === undefined) return null;
  const days = readings.map(({ at }) => toMillis(at) / DAY);
  const lastDay = days.at(-1) ?? 0;
  const left = every - usedSince(meter, since);
  if (left <= 0) return { at: lastDay, spread: null };
  const used = usedUpTo(readings, meter.rollsOverAt);
  const gaps = readings.slice(1).flatMap((_, index) => {
    const length = runningDays(days[index] ?? 0, days[index + 1] ?? 0, idle);
    return length <= 0 ? [] : [{ length, by: (used[index + 1] ?? 0) - (used[index] ?? 0) }];
  });
  const total = gaps.reduce((sum, { length }) => sum + length, 0);
  const rate = gaps.reduce((sum, { by }) => sum + by, 0) / total;
  if (!(rate > 0)) return null;
  const begin = since.at === null ? lastDay : Math.max(lastDay, toMillis(since.at) / DAY);
  const running = left / rate;
  if (running > FURTHEST_DAYS) return null;
  const at = afterRunning(begin, running, idle);
  const freedom = gaps.length - 1;
  if (freedom < 1) return { at, spread: null };
  const variance = gaps.reduce((sum, { length, by }) => sum + (by - rate * length) ** 2 / length, 0) / freedom;
  const deviation = Math.sqrt((variance * left) / rate ** 3 + (running ** 2 * variance) / (total * rate ** 2));
  const off = deviation * (T_95[freedom - 1] ?? T_95.at(-1) ?? 0);
  const latest = Math.min(running + off, FURTHEST_DAYS);
  return {
    at,
    spread: { from: afterRunning(begin, Math.max(0, running - off), idle), to: afterRunning(begin, latest, idle) },
  };
}

/** By how much a meter went on since it showed a value, as far as its readings say. */
function usedSince({ latest, rollsOverAt }: Meter, since: Since): number {
  const total = latest.at(-1)?.used;
  // Kept with each reading, so that it does not matter how many of them have been let go since.
  if (total !== undefined && since.used !== null && since.used !== undefined) return Math.max(0, total - since.used);
  let [sum, before] = [0, since.value];
  for (const { at, value, replacedAt } of latest) {
    if (since.at !== null && at <= since.at) continue;
    // Before a machine's first time nothing is known but the value it counts from.
    sum += meterStep(before, value, rollsOverAt) ?? 0;
    before = replacedAt ?? value;
  }
  return sum;
}
