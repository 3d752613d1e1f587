import { Frequency, RRule, type Options } from 'rrule';
import type { LocalDay } from '../../../kernel/time/local-day';

/** Why a rule of dates cannot be used. */
export type RuleProblem = 'rule_unreadable' | 'rule_too_often' | 'rule_forbidden' | 'rule_never';

const SLOWEST_TO_FASTEST = [Frequency.YEARLY, Frequency.MONTHLY, Frequency.WEEKLY, Frequency.DAILY] as const;
const PARTS = /^(FREQ|INTERVAL|COUNT|UNTIL|WKST|BYMONTH|BYMONTHDAY|BYYEARDAY|BYWEEKNO|BYDAY|BYSETPOS)=[A-Z0-9,+-]+$/;
const TIME_PARTS = /^BY(HOUR|MINUTE|SECOND)=/;

/** What keeps a rule from being one of days: null for nothing. */
export function problemOfRule(rule: string, from: LocalDay): RuleProblem | null {
  const parts = rule.split(';');
  const names = parts.map((part) => part.split('=')[0]);
  if (/FREQ=(HOURLY|MINUTELY|SECONDLY)/.test(rule) || parts.some((part) => TIME_PARTS.test(part)))
    return 'rule_too_often';
  if (!parts.every((part) => PARTS.test(part)) || new Set(names).size !== names.length) return 'rule_unreadable';
  if (isForbidden(parts)) return 'rule_forbidden';
  try {
    const { freq, interval, count } = optionsOf(rule);
    const isPossible = [interval, count].every((each) => each == null || (Number.isInteger(each) && each >= 1));
    if (freq === undefined || !SLOWEST_TO_FASTEST.some((each) => each === freq) || !isPossible)
      return 'rule_unreadable';
    return firstOn(rule, from) === null ? 'rule_never' : null;
  } catch {
    return 'rule_unreadable';
  }
}

/** The furthest from zero that a number of a part may be; none is zero (RFC 5545, 3.3.10). */
const FURTHEST: Readonly<Record<string, number>> = {
  BYMONTH: 12,
  BYMONTHDAY: 31,
  BYYEARDAY: 366,
  BYWEEKNO: 53,
  BYSETPOS: 366,
};
/** With which frequencies a part may not stand (RFC 5545, 3.3.10, the table and the text before it). */
const NOT_WITH: Readonly<Record<string, readonly string[]>> = {
  BYWEEKNO: ['MONTHLY', 'WEEKLY', 'DAILY'],
  BYYEARDAY: ['MONTHLY', 'WEEKLY', 'DAILY'],
  BYMONTHDAY: ['WEEKLY'],
};

/** Whether a rule joins what RFC 5545 forbids together, or has a number that is out of its range. */
function isForbidden(parts: readonly string[]): boolean {
  const said = new Map(parts.map((part): [string, string] => [part.split('=')[0] ?? '', part.split('=')[1] ?? '']));
  const freq = said.get('FREQ') ?? '';
  const days = (said.get('BYDAY') ?? '').split(',').filter(Boolean);
  const counted = days.flatMap((day) => (/^[+-]?\d/.test(day) ? [Number.parseInt(day, 10)] : []));
  const isCountedWrong =
    counted.some((each) => each === 0 || Math.abs(each) > 53) ||
    (counted.length > 0 && (['WEEKLY', 'DAILY'].includes(freq) || said.has('BYWEEKNO')));
  const isOutOfRange = Object.entries(FURTHEST).some(([name, furthest]) =>
    (said.get(name) ?? '')
      .split(',')
      .filter(Boolean)
      .some(
        (each) => Number(each) === 0 || Math.abs(Number(each)) > furthest || (name === 'BYMONTH' && Number(each) < 0),
      ),
  );
  return (
    isCountedWrong ||
    isOutOfRange ||
    (said.has('COUNT') && said.has('UNTIL')) ||
    Object.entries(NOT_WITH).some(([name, frequencies]) => said.has(name) && frequencies.includes(freq)) ||
    (said.has('BYSETPOS') && ![...said.keys()].some((name) => name.startsWith('BY') && name !== 'BYSETPOS'))
  );
}

/** So many rules are kept as they were read. */
const MOST_READ = 1_000;
const readRules = new Map<string, Partial<Options>>();

/** A rule as the library has it; reading it takes about as long as finding its next date. */
function optionsOf(rule: string): Partial<Options> {
  const known = readRules.get(rule);
  if (known !== undefined) return known;
  const options = RRule.parseString(rule);
  if (readRules.size >= MOST_READ) readRules.clear();
  readRules.set(rule, options);
  return options;
}

/** The first date of a rule; null where it has none, such as a 30 February. */
export function firstOn(rule: string, from: LocalDay): LocalDay | null {
  return firstAfter({ ...optionsOf(rule), dtstart: asDate(from) }, asDate(from), true);
}

/**
 * The first date of a rule after a day (RFC 5545, 3.3.10); null for none. The library goes through all dates from the first one on;
 * here it begins shortly before the day, in step with the rule, unless that counts its dates.
 */
export function nextOn(rule: string, from: LocalDay, after: LocalDay): LocalDay | null {
  const options = optionsOf(rule);
  const begin =
    options.count == null ? beginNear(withDefaults(options, from), from, after) : { ...options, dtstart: asDate(from) };
  return firstAfter(begin, asDate(after), after < from);
}

/** Beyond so many years no date is looked for: days are gone through one by one, and the calendar repeats itself after 400 years. */
const FURTHEST_YEARS = { [Frequency.DAILY]: 100, others: 400 } as const;

/** The first date of a rule after a moment; null for none within {@link FURTHEST_YEARS}. */
function firstAfter(options: Partial<Options>, after: Date, isIncluded: boolean): LocalDay | null {
  const { dtstart, until, freq, count } = options;
  if (isNever(options) || dtstart == null) return null;
  const years = freq === Frequency.DAILY ? FURTHEST_YEARS[Frequency.DAILY] : FURTHEST_YEARS.others;
  const begin = dtstart > after ? dtstart : after;
  const end = new Date(Date.UTC(begin.getUTCFullYear() + years, begin.getUTCMonth(), begin.getUTCDate()));
  const last = until == null || until > end ? end : until;
  if (!isCountedFromEnd(options)) {
    const bounded = count == null ? { ...options, until: last } : options;
    return asDay(new RRule(bounded).after(after, isIncluded));
  }
  // The library gives the first of a set for a place that is before its beginning, and counts it.
  let [left, found] = [count ?? Infinity, null as LocalDay | null];
  new RRule({ ...options, count: null, until: last }).all((date) => {
    if (!isAtItsPlace(options, date)) return true;
    left -= 1;
    if (date > after || (isIncluded && date.getTime() === after.getTime())) found = asDay(date);
    return left > 0 && found === null;
  });
  return found;
}

/** The most days that each month can have. */
const LONGEST_MONTHS = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
const listOf = (given: number | readonly number[] | null | undefined): readonly number[] =>
  given == null ? [] : typeof given === 'number' ? [given] : given;

/** Whether none of its months has any of its days, such as a 30 February. */
function isNever({ bymonth, bymonthday }: Partial<Options>): boolean {
  const [months, days] = [listOf(bymonth), listOf(bymonthday)];
  if (months.length === 0 || days.length === 0) return false;
  return months.every((month) => days.every((day) => Math.abs(day) > (LONGEST_MONTHS[month - 1] ?? 0)));
}

const isCountedFromEnd = ({ bysetpos }: Partial<Options>): boolean => listOf(bysetpos).some((place) => place < 0);

/** Whether a date stands in the set of its year, month, week or day at one of the places that the rule names. */
function isAtItsPlace(options: Partial<Options>, date: Date): boolean {
  const [begin, end] = periodOf(options, date);
  const { bysetpos, ...all } = options;
  const set = new RRule({ ...all, interval: 1, count: null, until: end, dtstart: begin }).all();
  const index = set.findIndex((each) => each.getTime() === date.getTime());
  return listOf(bysetpos).some((place) => (place > 0 ? place - 1 : set.length + place) === index);
}

/** The year, month, week or day about a date, to its last day. */
function periodOf({ freq, wkst }: Partial<Options>, date: Date): [begin: Date, end: Date] {
  const [year, month] = [date.getUTCFullYear(), date.getUTCMonth()];
  switch (freq) {
    case Frequency.YEARLY:
      return [new Date(Date.UTC(year, 0, 1)), new Date(Date.UTC(year, 11, 31))];
    case Frequency.MONTHLY:
      return [new Date(Date.UTC(year, month, 1)), new Date(Date.UTC(year, month + 1, 0))];
    case Frequency.WEEKLY: {
      const first = typeof wkst === 'number' ? wkst : (wkst?.weekday ?? 0);
      const since = (date.getUTCDay() + 6 - first + 7) % 7;
      return [new Date(date.getTime() - since * DAY), new Date(date.getTime() + (6 - since) * DAY)];
    }
    default:
      return [date, date];
  }
}

/** A rule that says no day of its own repeats that of its first date. */
function withDefaults(options: Partial<Options>, from: LocalDay): Partial<Options> {
  const { freq, bymonth, bymonthday, byyearday, byweekno, byweekday } = options;
  if ([bymonthday, byyearday, byweekno, byweekday].some((each) => each != null)) return options;
  const first = asDate(from);
  const day = first.getUTCDate();
  switch (freq) {
    case Frequency.YEARLY:
      return { ...options, bymonth: bymonth ?? first.getUTCMonth() + 1, bymonthday: day };
    case Frequency.MONTHLY:
      return { ...options, bymonthday: day };
    case Frequency.WEEKLY:
      return { ...options, byweekday: (first.getUTCDay() + 6) % 7 };
    default:
      return options;
  }
}

const DAY = 86_400_000;

/** The same rule from a whole number of its intervals later, which is before the day. */
function beginNear(options: Partial<Options>, from: LocalDay, after: LocalDay): Partial<Options> {
  const [first, day] = [asDate(from), asDate(after)];
  if (day <= first) return { ...options, dtstart: first };
  const { freq, interval = 1 } = options;
  const years = day.getUTCFullYear() - first.getUTCFullYear();
  const whole = (units: number): number => Math.max(0, Math.floor((units - 1) / interval)) * interval;
  switch (freq) {
    case Frequency.YEARLY: {
      const on = whole(years);
      return { ...options, dtstart: on === 0 ? first : new Date(Date.UTC(first.getUTCFullYear() + on, 0, 1)) };
    }
    case Frequency.MONTHLY: {
      const on = whole(years * 12 + day.getUTCMonth() - first.getUTCMonth());
      const month = first.getUTCMonth() + on;
      return { ...options, dtstart: on === 0 ? first : new Date(Date.UTC(first.getUTCFullYear(), month, 1)) };
    }
    default: {
      const length = (freq === Frequency.WEEKLY ? 7 : 1) * DAY;
      const on = whole(Math.floor((day.getTime() - first.getTime()) / length));
      return { ...options, dtstart: new Date(first.getTime() + on * length) };
    }
  }
}

function asDate(day: LocalDay): Date {
  return new Date(`${day}T00:00:00Z`);
}

function asDay(date: Date | null): LocalDay | null {
  return date === null ? null : (date.toISOString().slice(0, 10) as LocalDay);
}
