import { addDays, isLocalDay, type LocalDay } from '../../../kernel/time/local-day';
import type { IdleSeason } from './plan';

const DAY = 86_400_000;
const numberOf = (day: string): number => Date.parse(`${day}T00:00:00Z`) / DAY;

/** Whether it is a season of a year that some of the year is left beside; 29 February does not begin or end one. */
export function isSeason({ from, to }: IdleSeason): boolean {
  if (!isLocalDay(`2001-${from}`) || !isLocalDay(`2001-${to}`)) return false;
  return from <= to ? from !== '01-01' || to !== '12-31' : addDays(`2001-${to}` as LocalDay, 1).slice(5) !== from;
}

/** The seasons of the years about two days as stretches of days counted from 1970, the last one left out; in order, and none within another. */
function stretches(idle: readonly IdleSeason[], fromYear: number, toYear: number): [begin: number, end: number][] {
  const all: [number, number][] = [];
  for (let year = fromYear - 1; year <= toYear; year += 1)
    for (const { from, to } of idle)
      all.push([numberOf(`${year}-${from}`), numberOf(`${from <= to ? year : year + 1}-${to}`) + 1]);
  all.sort((a, b) => a[0] - b[0]);
  const united: [number, number][] = [];
  for (const [begin, end] of all) {
    const before = united.at(-1);
    if (before !== undefined && begin <= before[1]) before[1] = Math.max(before[1], end);
    else united.push([begin, end]);
  }
  return united;
}

const yearOf = (day: number): number => new Date(day * DAY).getUTCFullYear();
const dayOf = (day: number): LocalDay => new Date(day * DAY).toISOString().slice(0, 10) as LocalDay;

/** The day itself, or where nothing runs then, the first day on which something does again. */
export function runsFrom(day: LocalDay, idle: readonly IdleSeason[]): LocalDay {
  if (idle.length === 0) return day;
  const on = numberOf(day);
  const within = stretches(idle, yearOf(on), yearOf(on) + 1).find(([begin, end]) => begin <= on && on < end);
  return within === undefined ? day : dayOf(within[1]);
}

/** How many days it runs from one moment to another, both in days counted from 1970; parts of days count as such. */
export function runningDays(from: number, to: number, idle: readonly IdleSeason[]): number {
  if (idle.length === 0) return to - from;
  const resting = stretches(idle, yearOf(from), yearOf(to) + 1).reduce(
    (sum, [begin, end]) => sum + Math.max(0, Math.min(end, to) - Math.max(begin, from)),
    0,
  );
  return to - from - resting;
}

/** When it has run so many days from a moment on, in days counted from 1970. */
export function afterRunning(from: number, days: number, idle: readonly IdleSeason[]): number {
  if (idle.length === 0) return from + days;
  const year = 365;
  const running = runningDays(from, from + year, idle);
  // It hardly runs in a year: nothing can be said of when it has run so long.
  if (running <= 0) return Infinity;
  let at = from;
  let left = days;
  // Every year runs about as long as any other, and a year more is looked at at either end.
  const last = from + (Math.ceil(days / running) + 1) * (year + 1);
  for (const [begin, end] of stretches(idle, yearOf(from), yearOf(last) + 1)) {
    if (end <= at) continue;
    const until = Math.max(0, begin - at);
    if (until >= left) break;
    left -= until;
    at = end;
  }
  return at + left;
}
