import { toMillis, type Instant } from '@oilcan/core/kernel';

const UNDER_AN_HOUR = 'under an hour';

/** A stretch of days as a person says it: `5 h`, `11 days`, `5 months`, `3 years`; years to a half from two on. */
export function saySpan(days: number): string {
  const hours = Math.round(days * 24);
  if (hours < 1) return UNDER_AN_HOUR;
  if (hours < 48) return `${hours} h`;
  const whole = Math.round(days);
  if (whole < 60) return `${whole} days`;
  const months = Math.round(days / 30.44);
  if (months < 24) return `${months} months`;
  const halves = Math.round((days / 365.25) * 2) / 2;
  return `${halves} years`;
}

/** Two stretches of days, the unit said once where they share it: `3 to 9 months`, `20 days to 4 months`, `2 h`. */
export function saySpans(least: number, most: number): string {
  const [low, high] = [saySpan(least), saySpan(most)];
  if (low === high) return high;
  const [amount = '', unit] = low.split(' ');
  return low !== UNDER_AN_HOUR && high.endsWith(` ${unit}`) ? `${amount} to ${high}` : `${low} to ${high}`;
}

/** Since when: `Nov 2023`. */
export function sayMonth(instant: Instant): string {
  return new Intl.DateTimeFormat('en', { month: 'short', year: 'numeric', timeZone: 'UTC' }).format(toMillis(instant));
}

/** How often, from the usual gap in days: `about every 2 months`. */
export function sayEvery(gapDays: number): string {
  const span = saySpan(gapDays);
  return span === UNDER_AN_HOUR ? 'one right after another' : `about every ${span}`;
}

const ordinals = ['', 'First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth', 'Ninth', 'Tenth'];

/** `Third`, `11th`, `22nd`. */
export function ordinal(count: number): string {
  const word = ordinals[count];
  if (word !== undefined && word !== '') return word;
  const lastTwo = count % 100;
  const ending = lastTwo > 10 && lastTwo < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][count % 10] ?? 'th');
  return `${count}${ending}`;
}

/** Minutes of standing still: `45 min`, `6 h`, `3 days`. */
export function sayStanding(minutes: number): string {
  if (minutes < 90) return `${minutes} min`;
  if (minutes < 48 * 60) return `${Math.round(minutes / 60)} h`;
  return saySpan(minutes / 1440);
}
