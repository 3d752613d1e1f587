import { addMinutes, minutesBetween, type Instant } from '../../../kernel/time/instant';
import { calendarDaysBetween, latestWallTime, startOfDay, type Zone } from '../../../kernel/time/zone';
import { parseDuration } from '../../../kernel/time/duration';

/** Something that took from one moment to another. */
export interface Stretch {
  readonly from: Instant;
  readonly to: Instant;
  /** Its clock time was said without its half of the day and fell on the day before: worth a look. */
  readonly isUnsure: boolean;
}

/** A stretch that words say; one that only says how long it took ends now, unless something else says when it ended. */
export interface SaidStretch extends Stretch {
  readonly isOnlyLong: boolean;
}

/** When a text is read, and where. */
export interface Clockwork {
  readonly now: Instant;
  readonly zone: Zone;
}

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
const HOURS = String.raw`(?:\d{1,3}(?:[.,]\d{1,2})?|[.,]\d{1,2})\s?h(?:ours?|rs?)?`;
const MINUTES = String.raw`\s?m(?:in(?:ute)?s?)?`;
const DURATION = String.raw`(\d{1,3}:[0-5]\d|${HOURS}(?:\s?[0-5]?\d(?:${MINUTES})?)?|\d{1,4}${MINUTES})`;
const JUST_NOW = String.raw`(?:\s+(?:just now|now|until now|till now|up to now))?`;
const FROM_TO = String.raw`(?:from\s+)?${CLOCK}\s*(?:-|–|to|till|until)\s*${CLOCK}`;
/** Behind how long it took, and before it. */
const BEFORE = String.raw`(?:for\s+|took\s+(?:me\s+)?|in\s+)?`;
const YESTERDAY = String.raw`(?:yesterday|the day before)`;

type Reader = (match: readonly string[], clockwork: Clockwork) => SaidStretch | null;

const sure = (from: Instant, to: Instant): SaidStretch => ({ from, to, isUnsure: false, isOnlyLong: false });

const forms: readonly (readonly [string, Reader])[] = [
  [`${YESTERDAY},?\\s+${FROM_TO}`, ([, begin = '', end = ''], clockwork) => onTheDayBefore(begin, end, clockwork)],
  [`${FROM_TO}\\s+${YESTERDAY}`, ([, begin = '', end = ''], clockwork) => onTheDayBefore(begin, end, clockwork)],
  [FROM_TO, ([, begin = '', end = ''], { now, zone }) => between(begin, end, now, zone)],
  [
    `since\\s+${CLOCK}`,
    ([, begin = ''], { now, zone }) => {
      const from = latestAt(begin, now, zone);
      return from === null ? null : { ...sure(from, now), isUnsure: isUnsure(begin, from, now, zone) };
    },
  ],
  [
    `${BEFORE}${DURATION}\\s+(?:until|till|to)\\s+${CLOCK}`,
    ([, long = '', end = ''], { now, zone }) => {
      const [to, minutes] = [latestAt(end, now, zone), minutesOf(long)];
      return to === null || minutes === null ? null : sure(addMinutes(to, -minutes), to);
    },
  ],
  [
    `${BEFORE}${DURATION}(?:\\s+of\\s+work|\\s+work|\\s+labou?r)?${JUST_NOW}`,
    ([, long = ''], { now }) => {
      const minutes = minutesOf(long);
      return minutes === null ? null : { ...sure(addMinutes(now, -minutes), now), isOnlyLong: true };
    },
  ],
];
const whole = forms.map(([form, read]) => [new RegExp(`^${form}$`, 'i'), read] as const);
/** Within words a time stands at their end, or at their beginning: “packing replaced 2 h”, “20 min cleaned”. */
const atEnd = forms.map(([form, read]) => [new RegExp(`\\s(${form})$`, 'i'), form, read] as const);
const atBeginning = forms.map(([form, read]) => [new RegExp(`^(${form})\\s`, 'i'), form, read] as const);

/** From when to when a text says that something took; null where it does not say just that. */
export function stretchOf(text: string, clockwork: Clockwork): SaidStretch | null {
  const said = text.trim();
  for (const [form, read] of whole) {
    const match = form.exec(said);
    const stretch = match === null ? null : read([...match], clockwork);
    if (stretch !== null && minutesBetween(stretch.from, stretch.to) > 0) return stretch;
  }
  return null;
}

/** The time that stands at the end or the beginning of words, and the other words; null where none does. */
export function stretchWithin(
  text: string,
  clockwork: Clockwork,
): { readonly stretch: SaidStretch; readonly words: string } | null {
  const said = text.trim();
  for (const [form] of [...atEnd, ...atBeginning]) {
    const match = form.exec(said);
    if (match?.[1] === undefined) continue;
    // “20 m hose”: metres as well as minutes.
    if (match.index === 0 && IS_METRES_TOO.test(match[1])) continue;
    const stretch = stretchOf(match[1], clockwork);
    if (stretch === null) continue;
    return { stretch, words: said.replace(match[0], ' ').trim() };
  }
  return null;
}

const IS_METRES_TOO = /^\d+\s?m$/i;

const FINISHED = new RegExp(`^(?:finished|done|ended|ready|until|till)\\s+(?:at\\s+)?${CLOCK}$`, 'i');

/** When something ended: “finished at 11”; null where the text does not say just that. */
export function endOf(text: string, { now, zone }: Clockwork): Instant | null {
  const match = FINISHED.exec(text.trim());
  return match?.[1] === undefined ? null : latestAt(match[1], now, zone);
}

/** What people write of time, wherever it stands: a text that still has it was not wholly understood. */
const OF_TIME = new RegExp(
  String.raw`\b(?:${DURATION.slice(1, -1)}|yesterday|the day before|last night|this morning)(?=$|[\s,.;])|\b(?:from|since|until|till|finished at|done at)\s+${CLOCK}`,
  'i',
);

/** The words of a text that speak of a time; null where it has none. */
export function timeLeftIn(text: string): string | null {
  return OF_TIME.exec(text)?.[0] ?? null;
}

function minutesOf(text: string): number | null {
  return parseDuration(text.replace(/\s+/g, ' ')) ?? null;
}

function between(begin: string, end: string, now: Instant, zone: Zone): SaidStretch | null {
  const to = latestAt(end, now, zone);
  const from = to === null ? null : latestAt(begin, to, zone);
  if (to === null || from === null) return null;
  return { ...sure(from, to), isUnsure: isUnsure(end, to, now, zone) };
}

/** Of another day the clock of twenty-four hours is meant: nothing says how near to now it was. */
function onTheDayBefore(begin: string, end: string, { now, zone }: Clockwork): SaidStretch | null {
  const lastOfIt = addMinutes(startOfDay(now, zone), -1);
  const [first, last] = [shownBy(begin.trim().toLowerCase()), shownBy(end.trim().toLowerCase())];
  if (first === null || last === null) return null;
  const from = latestWallTime(asClock(first.hour, first.minute), lastOfIt, zone);
  const isAfternoon = !last.isSure && last.hour < 12 && last.hour * 60 + last.minute <= first.hour * 60 + first.minute;
  const to = latestWallTime(asClock(isAfternoon ? last.hour + 12 : last.hour, last.minute), lastOfIt, zone);
  return to > from && to <= now ? sure(from, to) : null;
}

/** Whether “nine” could as well be the other nine, and the one that was taken is of another day. */
function isUnsure(said: string, taken: Instant, now: Instant, zone: Zone): boolean {
  const shown = shownBy(said.trim().toLowerCase());
  return shown !== null && !shown.isSure && calendarDaysBetween(taken, now, zone) !== 0;
}

const asClock = (hour: number, minute: number): string =>
  `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;

/** The last moment, not after another, at which the clock showed this; said without morning or evening, the later of both. */
function latestAt(text: string, notAfter: Instant, zone: Zone): Instant | null {
  const shown = shownBy(text.trim().toLowerCase());
  if (shown === null) return null;
  const { hour, minute, isSure } = shown;
  const candidates = isSure || hour > 12 || hour === 0 ? [hour] : [hour % 12, (hour % 12) + 12];
  const moments = candidates.map((each) => latestWallTime(asClock(each, minute), notAfter, zone));
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
