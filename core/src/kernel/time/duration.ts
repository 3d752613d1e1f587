/** The longest stretch of work that one entry may record. */
export const LONGEST_LABOR_MINUTES = 24 * 60;

const CLOCK_FORM = /^(\d{1,3}):([0-5]\d)$/;
const HOURS_FORM = /^(\d{0,3})(?:[.,](\d{1,4}))?(?: ?(?:h|hrs?|hours?))?$/;
const MINUTES_FORM = /^(\d{1,5}) ?(?:m|mins?|minutes?)$/;
const BOTH_FORM = /^(\d{1,3}) ?(?:h|hrs?|hours?)(?: and)? ?([0-5]?\d)(?: ?(?:m|mins?|minutes?))?$/;

/** A bare whole number from here on may be minutes as well as hours: nobody works 15 h as often as 15 min. */
const MAY_BE_MINUTES_FROM = 10;
const BARE_FORM = /^\d{1,3}$/;

/** The two things that a bare number can mean, in minutes; null for what means one thing, or nothing. */
export function eitherDuration(text: string): { readonly asMinutes: number; readonly asHours: number } | null {
  const bare = text.trim();
  const figure = Number(bare);
  return BARE_FORM.test(bare) && figure >= MAY_BE_MINUTES_FROM ? { asMinutes: figure, asHours: figure * 60 } : null;
}

/**
 * Reads a duration as people write it: `1:30`, `1.5`, `1,5`, `1.5h`, `90m`, `1h30`, `1 h 30 min` are all 90 minutes.
 * A bare number is hours, up to 9: from 10 on it is not guessed at (`eitherDuration`). One blank may stand between a figure and its unit or the next figure's (`1 h 30`), and nowhere
 * else: what is not one of these forms is not guessed at. A fraction of an hour is rounded to the nearest whole minute, exactly (no floating point).
 *
 * @returns whole minutes, or `undefined` when the text is not a duration.
 */
export function parseDuration(text: string): number | undefined {
  // The blank that does not break counts as one, so that what we write ourselves is read back.
  const compact = text.trim().toLowerCase().replaceAll('\u00a0', ' ');
  if (compact === '' || eitherDuration(compact) !== null) return undefined;
  const clock = CLOCK_FORM.exec(compact) ?? BOTH_FORM.exec(compact);
  if (clock !== null) return Number(clock[1]) * 60 + Number(clock[2]);
  const minutes = MINUTES_FORM.exec(compact);
  if (minutes !== null) return Number(minutes[1]);
  const hours = HOURS_FORM.exec(compact);
  if (hours === null || (hours[1] === '' && hours[2] === undefined)) return undefined;
  return Number(hours[1]) * 60 + minutesOfFraction(hours[2] ?? '');
}

/** Decimal digits of an hour to whole minutes, rounding half up: `25` is 15. */
function minutesOfFraction(digits: string): number {
  const scale = 10 ** digits.length;
  return Math.floor((Number(digits === '' ? 0 : digits) * 60 * 2 + scale) / (2 * scale));
}

/** Minutes as the interface shows a running or finished time: 90 is `1:30`. */
export function formatClock(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}

/** Between a figure and its unit, so that a line does not break there. */
const NO_BREAK = '\u00a0';

/** Minutes as a figure with its units: 90 is `1 h 30`, 45 is `45 min`, 120 is `2 h`; on one line. */
export function formatDuration(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours === 0) return `${rest}${NO_BREAK}min`;
  const whole = `${hours}${NO_BREAK}h`;
  return rest === 0 ? whole : `${whole}${NO_BREAK}${String(rest).padStart(2, '0')}`;
}

/** Minutes as somebody types them: 90 is `1h30`, 45 is `45min`. */
export function typedDuration(minutes: number): string {
  return formatDuration(minutes).replaceAll(NO_BREAK, '');
}
