/** A stretch of days as a person says it: `11 days`, `5 months`, `3 years`; from `2.5 years` on to a half. */
export function sayDays(days: number): string {
  if (days < 1) return 'a day';
  const whole = Math.round(days);
  if (whole < 60) return whole === 1 ? '1 day' : `${whole} days`;
  const months = Math.round(days / 30.44);
  if (months < 24) return `${months} months`;
  const halves = Math.round((days / 365.25) * 2) / 2;
  return `${halves} years`;
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
  return sayDays(minutes / 1440);
}
