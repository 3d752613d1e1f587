import { OilcanError } from '../errors/oilcan-error';
import { instantFromMillis, toMillis, type Instant } from './instant';
import { inZone, latestWallTime, type Zone } from './zone';

/** A time of day as somebody wrote it. */
export interface ClockTime {
  /** 0 to 23. */
  readonly hour: number;
  /** 0 to 59. */
  readonly minute: number;
  /** 1 for yesterday, 0 for today; null where nothing was said of the day. */
  readonly daysAgo: 0 | 1 | null;
}

const SEPARATED = /^(\d{1,2}) ?[:.,h] ?([0-5]\d)(?: ?(?:uhr|h))?$/;
const TOGETHER = /^(\d{1,2})([0-5]\d)$/;
const HOUR_ALONE = /^(\d{1,2})(?: ?(?:h|o'clock|uhr))?$/;
const HALF_OF_DAY = / ?([ap])\.?m\.?$/;
const DAY_WORD = /\b(yesterday|today)\b/;

/**
 * Reads a time of day as people write it: `14:20`, `14.20`, `1420`, `14h20` and `2:20 pm` are the same, `4` and `4h` are four o'clock;
 * `yesterday` or `today` may stand before or behind. What is none of these is not guessed at.
 *
 * @returns null where it is no time of day
 */
export function readClockTime(text: string): ClockTime | null {
  const lower = text.trim().toLowerCase().replaceAll('\u00a0', ' ');
  const day = DAY_WORD.exec(lower)?.[1];
  const daysAgo = day === 'yesterday' ? 1 : day === 'today' ? 0 : null;
  const said = lower
    .replace(DAY_WORD, '')
    .replace(/\bat\b/, '')
    .replace(/\s+/g, ' ')
    .trim();
  const half = HALF_OF_DAY.exec(said)?.[1];
  const figures = half === undefined ? said : said.replace(HALF_OF_DAY, '').trim();
  const found = SEPARATED.exec(figures) ?? TOGETHER.exec(figures) ?? HOUR_ALONE.exec(figures);
  if (found === null) return null;
  const typed = Number(found[1]);
  const minute = Number(found[2] ?? 0);
  if (half !== undefined && (typed < 1 || typed > 12)) return null;
  const hour = half === undefined ? typed : (typed % 12) + (half === 'p' ? 12 : 0);
  return hour > 23 ? null : { hour, minute, daysAgo };
}

/** `14:20`, as a clock shows it. */
export function clockText({ hour, minute }: Pick<ClockTime, 'hour' | 'minute'>): string {
  return `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;
}

export type ReadMoment =
  | { readonly is: 'at'; readonly at: Instant }
  /** It has not come yet today: probably it was yesterday, but that is for the person to say. */
  | { readonly is: 'notYet'; readonly yesterday: Instant; readonly clock: string }
  | { readonly is: 'unreadable' };

/**
 * The moment in the past that a written time of day means. Nothing said of the day means today, and what has not come today is asked about
 * rather than taken for yesterday.
 */
export function readMoment(text: string, present: Instant, zone: Zone): ReadMoment {
  const read = readClockTime(text);
  if (read === null) return { is: 'unreadable' };
  const clock = clockText(read);
  if (read.daysAgo === 1) return { is: 'at', at: onDayBefore(clock, present, zone) };
  const at = latestClockTime(clock, present, zone);
  if (inZone(at, zone).hasSame(inZone(present, zone), 'day')) return { is: 'at', at };
  return { is: 'notYet', yesterday: at, clock };
}

/** The latest moment not after another at which the clock showed this; null for what is no time of day. */
export function latestTyped(text: string, notAfter: Instant, zone: Zone): Instant | null {
  const read = readClockTime(text);
  if (read === null) return null;
  const clock = clockText(read);
  return read.daysAgo === 1 ? onDayBefore(clock, notAfter, zone) : latestClockTime(clock, notAfter, zone);
}

/** When the clock showed this on the day before. */
function onDayBefore(clock: string, present: Instant, zone: Zone): Instant {
  return latestClockTime(clock, instantFromMillis(inZone(present, zone).startOf('day').toMillis() - 1), zone);
}

function latestClockTime(clock: string, notAfter: Instant, zone: Zone): Instant {
  try {
    return latestWallTime(clock, notAfter, zone);
  } catch (error) {
    // A time that every one of the last days skipped does not come about.
    if (error instanceof OilcanError) return instantFromMillis(toMillis(notAfter));
    throw error;
  }
}
