import { Frequency, RRule, type Options } from 'rrule';
import type { LocalDay } from '../../kernel/time/local-day';

/** Why a rule of dates cannot be used. */
export type RuleProblem = 'rule_unreadable' | 'rule_too_often' | 'rule_never';

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
  return asDay(new RRule({ ...optionsOf(rule), dtstart: asDate(from) }).after(asDate(from), true));
}

/**
 * The first date of a rule after a day (RFC 5545, 3.3.10); null for none. The library goes through all dates from the first one on;
 * here it begins shortly before the day, in step with the rule, unless that counts its dates.
 */
export function nextOn(rule: string, from: LocalDay, after: LocalDay): LocalDay | null {
  const options = optionsOf(rule);
  const begin =
    options.count == null ? beginNear(withDefaults(options, from), from, after) : { ...options, dtstart: asDate(from) };
  return asDay(new RRule(begin).after(asDate(after), after < from));
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
