import { DateTime } from 'luxon';
import { OilcanError } from '../errors/oilcan-error';

/** A day of a place: from its first millisecond to that of the next day. */
interface DaySpan {
  /** `2026-11-23` */
  readonly day: string;
  readonly from: number;
  readonly to: number;
}

const DAY_MILLISECONDS = 86_400_000;
/** So many days of all places are remembered: ten years. */
const MOST = 3_660;

/** By place and the day of Greenwich in which they begin, the local days that were asked for. */
const known = new Map<string, DaySpan>();
const keyOf = (zone: string, millis: number): string => `${zone} ${Math.floor(millis / DAY_MILLISECONDS)}`;

/**
 * The local day in which a moment lies. Every list asks for the same few days over and over, and working one out by the rules of
 * its place takes as long as a hundred comparisons.
 *
 * @throws `zone_unknown`
 */
export function daySpanOf(millis: number, zone: string): DaySpan {
  // A day of at most 26 hours that holds this moment begins on its day in Greenwich or on one of the two before.
  for (let back = 0; back <= 2; back += 1) {
    const span = known.get(keyOf(zone, millis - back * DAY_MILLISECONDS));
    if (span !== undefined && span.from <= millis && millis < span.to) return span;
  }
  const local = DateTime.fromMillis(millis, { zone });
  if (!local.isValid) throw new OilcanError('zone_unknown', { zone });
  const begin = local.startOf('day');
  const span = {
    day: local.toISODate(),
    from: begin.toMillis(),
    to: begin.plus({ days: 1 }).startOf('day').toMillis(),
  };
  if (known.size >= MOST) known.clear();
  known.set(keyOf(zone, span.from), span);
  return span;
}
