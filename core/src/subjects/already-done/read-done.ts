import { addMinutes, minutesBetween, type Instant } from '../../kernel/time/instant';
import { latestWallTime, type Zone } from '../../kernel/time/zone';
import { parseDuration } from '../../kernel/time/duration';
import type { Asset } from '../plant/plant';
import { parseShorthand } from '../shorthand/parse';
import type { Phrase } from '../shorthand/phrase';
import { fromSpoken } from '../shorthand/spoken';
import { likelyMachines, type LikelyMachine } from './likely-machines';

/** Something that took from one moment to another. */
export interface Stretch {
  readonly from: Instant;
  readonly to: Instant;
}

/** What one line about work that is already done says. */
export interface DoneLine {
  /** The machines that it may be about, the likeliest first. */
  readonly machines: readonly LikelyMachine[];
  /** What was done, in its own words; empty where the line only has figures. */
  readonly title: string;
  /** The person's time; null where it says none. */
  readonly time: Stretch | null;
  readonly stoppage: (Stretch & { readonly extent: 'full' | 'reduced' }) | null;
  /** What else it says, as the shorthand has it: parts, faults, readings, notes, expenses, that there was none of something. */
  readonly phrases: readonly Phrase[];
  /** What activity its words name, by the codes of ISO 14224; null for none. */
  readonly activity: number | null;
}

/** The longest line that is read. */
const LONGEST_DONE = 1_000;
const LONGEST_TITLE = 200;

/**
 * Reads one line about work that was done without a work order, in plain words or shorthand, typed or spoken: “pump 2: packing replaced,
 * 2 h just now, 1x pack-12, stood still since nine”. Times are counted back from now, or are the latest such times of the clock.
 *
 * @param assets among which its machine is found
 */
export function readDone(
  line: string,
  { assets, now, zone }: { readonly assets: readonly Asset[]; readonly now: Instant; readonly zone: Zone },
): DoneLine {
  const { head, rest } = headOf(fromSpoken(line.slice(0, LONGEST_DONE)), assets);
  const words: string[] = [];
  const phrases: Phrase[] = [];
  let time: Stretch | null = null;
  let stoppage: DoneLine['stoppage'] = null;
  for (const part of partsOf(rest)) {
    const stood = STOOD.exec(part);
    if (stood !== null) {
      const when =
        stretchOf(part.slice(stood[0].length), now, zone) ?? stretchOf(part.slice(0, stood.index), now, zone);
      if (when !== null) {
        stoppage = { ...when, extent: /reduced|slow/i.test(stood[0]) ? 'reduced' : 'full' };
        continue;
      }
    }
    const stretch = stretchOf(part, now, zone);
    if (stretch !== null && time === null) {
      time = stretch;
      continue;
    }
    const read = parseShorthand(part).map(({ phrase }) => phrase);
    const isRead = read.length > 0 && read.every(({ is }) => is !== 'unread');
    if (!isRead) {
      words.push(part);
      continue;
    }
    for (const phrase of read)
      if (phrase.is === 'time') time ??= { from: addMinutes(now, -phrase.minutes), to: now };
      else if (phrase.is === 'stoppage')
        stoppage ??= { from: addMinutes(now, -phrase.minutes), to: now, extent: phrase.extent };
      else phrases.push(phrase);
  }
  const title = beginningWithCapital(words.join(', ').slice(0, LONGEST_TITLE));
  return {
    machines: likelyMachines(head === '' ? title : head, assets),
    title,
    time,
    stoppage,
    phrases,
    activity: activityIn(title),
  };
}

/** As the titles of other work begin. */
const beginningWithCapital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** What stands before the first colon is the machine, unless the colon belongs to a time. */
function headOf(line: string, assets: readonly Asset[]): { readonly head: string; readonly rest: string } {
  const colon = /^([^:;,]{1,80}):(?!\d)/.exec(line);
  if (colon?.[1] !== undefined) return { head: colon[1].trim(), rest: line.slice(colon[0].length) };
  const [first = ''] = partsOf(line);
  // “pump 2, packing replaced”: its first part names a machine and nothing else.
  const [likeliest] = likelyMachines(first, assets);
  const isMachine = likeliest !== undefined && likeliest.share === 1 && likeliest.isWhole;
  return isMachine ? { head: first, rest: line.slice(line.indexOf(first) + first.length) } : { head: '', rest: line };
}

/** Its parts: a comma within a number, a decimal or a time parts nothing. */
function partsOf(line: string): string[] {
  return line
    .split(/;|,(?!\d)|\.(?=\s)|\sand\s(?=\d|stood|stopped)/i)
    .map((part) => part.trim())
    .filter((part) => part !== '');
}

const STOOD =
  /\b(?:(?:it\s+)?(?:stood(?:\s+still)?|was\s+stopped|stopped|standstill|down|ran\s+reduced|ran\s+slow(?:ly)?|reduced))\b/i;

const hours: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  noon: 12,
};
const CLOCK = `(\\d{1,2}(?:[:.]\\d{2})?(?:\\s?[ap]m)?|(?:half past |quarter past |quarter to )?(?:${Object.keys(hours).join('|')}))(?:\\s+o['’]clock)?`;
const DURATION = String.raw`(\d{1,3}:[0-5]\d|\d{0,3}(?:[.,]\d{1,2})?\s?h(?:ours?)?(?:[0-5]?\d(?:m|min)?)?|\d{1,4}\s?m(?:in(?:utes?)?)?)`;
const JUST_NOW = String.raw`(?:\s+(?:just now|now|until now|till now|up to now))?`;

const forms: readonly (readonly [RegExp, (match: readonly string[], now: Instant, zone: Zone) => Stretch | null])[] = [
  [
    new RegExp(`^(?:from\\s+)?${CLOCK}\\s*(?:-|–|to|till|until)\\s*${CLOCK}$`, 'i'),
    ([, begin = '', end = ''], now, zone) => between(begin, end, now, zone),
  ],
  [
    new RegExp(`^since\\s+${CLOCK}$`, 'i'),
    ([, begin = ''], now, zone) => {
      const from = latestAt(begin, now, zone);
      return from === null ? null : { from, to: now };
    },
  ],
  [
    new RegExp(`^(?:for\\s+)?${DURATION}\\s+(?:until|till|to)\\s+${CLOCK}$`, 'i'),
    ([, long = '', end = ''], now, zone) => {
      const [to, minutes] = [latestAt(end, now, zone), minutesOf(long)];
      return to === null || minutes === null ? null : { from: addMinutes(to, -minutes), to };
    },
  ],
  [
    new RegExp(`^(?:for\\s+|took\\s+)?${DURATION}(?:\\s+of\\s+work)?${JUST_NOW}$`, 'i'),
    ([, long = ''], now) => {
      const minutes = minutesOf(long);
      return minutes === null ? null : { from: addMinutes(now, -minutes), to: now };
    },
  ],
];

/** From when to when a text says that something took; null where it does not say that. */
function stretchOf(text: string, now: Instant, zone: Zone): Stretch | null {
  const said = text.trim();
  for (const [form, read] of forms) {
    const match = form.exec(said);
    const stretch = match === null ? null : read([...match], now, zone);
    if (stretch !== null && minutesBetween(stretch.from, stretch.to) > 0) return stretch;
  }
  return null;
}

function minutesOf(text: string): number | null {
  const short = text
    .replace(/\s/g, '')
    .replace(/hours?/i, 'h')
    .replace(/min(utes?)?$/i, 'm');
  return parseDuration(short) ?? null;
}

function between(begin: string, end: string, now: Instant, zone: Zone): Stretch | null {
  const to = latestAt(end, now, zone);
  const from = to === null ? null : latestAt(begin, to, zone);
  return to === null || from === null ? null : { from, to };
}

/** The last moment, not after another, at which the clock showed this; said without morning or evening, the later of both. */
function latestAt(text: string, notAfter: Instant, zone: Zone): Instant | null {
  const shown = shownBy(text.trim().toLowerCase());
  if (shown === null) return null;
  const { hour, minute, isSure } = shown;
  const candidates = isSure || hour > 12 || hour === 0 ? [hour] : [hour % 12, (hour % 12) + 12];
  const moments = candidates.map((each) =>
    latestWallTime(`${String(each).padStart(2, '0')}:${String(minute).padStart(2, '0')}`, notAfter, zone),
  );
  return moments.reduce((latest, each) => (each > latest ? each : latest));
}

interface Shown {
  readonly hour: number;
  readonly minute: number;
  /** Whether it says which half of the day. */
  readonly isSure: boolean;
}

function shownBy(text: string): Shown | null {
  const figures = /^(\d{1,2})(?:[:.](\d{2}))?\s?([ap]m)?$/.exec(text);
  if (figures?.[1] !== undefined) {
    const [hour, minute] = [Number(figures[1]), Number(figures[2] ?? 0)];
    if (hour > 24 || minute > 59) return null;
    const half = figures[3];
    if (half !== undefined)
      return hour > 12 ? null : { hour: (hour % 12) + (half === 'pm' ? 12 : 0), minute, isSure: true };
    // Written with minutes it is what a clock of twenty-four hours shows.
    return { hour: hour % 24, minute, isSure: figures[2] !== undefined };
  }
  const [, past = '', name = ''] = /^(half past |quarter past |quarter to )?(\w+)$/.exec(text) ?? [];
  const hour = hours[name];
  if (hour === undefined) return null;
  if (name === 'noon') return { hour: 12, minute: 0, isSure: true };
  if (past === 'quarter to ') return { hour: hour === 1 ? 12 : hour - 1, minute: 45, isSure: false };
  return { hour, minute: past === 'half past ' ? 30 : past === 'quarter past ' ? 15 : 0, isSure: false };
}

/** What somebody says that they did, by the codes of ISO 14224:2016, table B.5 (memory). */
const activityWords: readonly (readonly [RegExp, number])[] = [
  [/\b(?:replac|renew|chang|swapp|new\b)/i, 1],
  [/\b(?:repair|mend|weld|seal|fix)/i, 2],
  [/\b(?:modif|rebuil|convert)/i, 3],
  [/\b(?:adjust|align|tight|set\b|readjust|tension)/i, 4],
  [/\b(?:refit|put back)/i, 5],
  [/\b(?:clean|greas|lubricat|oil(?:ed)?\b|top(?:ped)? up|servic|thaw|clear)/i, 7],
  [/\b(?:test)/i, 8],
  [/\b(?:inspect|look)/i, 9],
  [/\b(?:overhaul)/i, 10],
  [/\b(?:check)/i, 6],
];

function activityIn(title: string): number | null {
  return activityWords.find(([form]) => form.test(title))?.[1] ?? null;
}
