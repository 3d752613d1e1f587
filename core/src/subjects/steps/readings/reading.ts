import type { PointId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { accepted, refuse, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { LATEST_VALUES_KEPT, type MeasuringPoint } from '../../plant/plant/plant';
import type { RawValue } from './derived/derived-kind';
import './derived/derived-point';
import { levelOf, type ReadingLevel } from './limits';
import { meterStep, withUsed } from './meter';

/** Beyond this no instrument reads; it also keeps sums of readings exact enough. */
export const LARGEST_READING = 1e12;

/** A value in the unit of the gauge that was at hand. */
export interface TypedValue {
  readonly value: number;
  readonly unit: string;
}

/** A value read at a measuring point. */
export interface ReadingContent {
  readonly kind: 'reading';
  readonly pointId: PointId;
  readonly value: number;
  readonly level: ReadingLevel;
  /** What the meter showed that was put in its place; absent where it was not replaced. */
  readonly replacedAt?: number;
  /** What was typed, where that was in another unit than the point's. */
  readonly typed?: TypedValue;
  /** What it was worked out of, and what its standard calls it; absent where it was read off itself. */
  readonly figure?: { readonly raw: readonly RawValue[]; readonly said: string | null };
}

/** A value with what it means there. */
export function readingContent(point: MeasuringPoint, value: number, typed?: TypedValue): ReadingContent {
  const level = levelOf(value, point.limits);
  return { kind: 'reading', pointId: point.id, value, level, ...(typed === undefined ? {} : { typed }) };
}

/** Whether a value can have been read at a point then. */
export function checkReading(point: MeasuringPoint, value: number, context: OperationContext): Outcome {
  if (!Number.isFinite(value) || Math.abs(value) > LARGEST_READING) {
    return refuse('reading_out_of_range', {}, 'value');
  }
  const before = point.latest.filter((reading) => reading.at <= context.at).at(-1);
  const stood = before === undefined ? null : (before.replacedAt ?? before.value);
  if (point.isMeter && stood !== null && meterStep(stood, value, point.rollsOverAt) === null) {
    return refuse('meter_runs_back', { latest: stood, unit: point.unit }, 'value');
  }
  // One that comes late may not be above what was read after it either.
  const after = point.latest.find((reading) => reading.at > context.at);
  if (point.isMeter && after !== undefined && meterStep(value, after.value, point.rollsOverAt) === null) {
    return refuse('meter_read_lower_since', { later: after.value, unit: point.unit }, 'value');
  }
  return accepted;
}

/** A reading was taken back: it is no longer among the newest values of its point. */
export async function forgetReading(records: Records, pointId: PointId, at: Instant): Promise<void> {
  const point = await records.get('points', pointId);
  if (point !== undefined) await records.put('points', withoutReading(point, at));
}

/** The point without the value that was read at a moment. */
export function withoutReading(point: MeasuringPoint, at: Instant): MeasuringPoint {
  return { ...point, latest: point.latest.filter((reading) => reading.at !== at) };
}

/**
 * The point with a value among its newest.
 *
 * @param replacedAt what the meter that took its place showed
 */
export function withReading(
  point: MeasuringPoint,
  value: number,
  context: OperationContext,
  replacedAt?: number,
): MeasuringPoint {
  const replaced = replacedAt === undefined ? {} : { replacedAt };
  const added = { at: context.at, value, ...replaced };
  const latest = [...point.latest, added].sort((a, b) => (a.at < b.at ? -1 : 1));
  const counted = point.isMeter ? withUsed(latest, latest.indexOf(added), point.rollsOverAt) : latest;
  return { ...point, latest: counted.slice(-LATEST_VALUES_KEPT) };
}
