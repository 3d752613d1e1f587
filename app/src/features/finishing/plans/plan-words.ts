import type { Instant, LocalDay } from '@oilcan/core/kernel';
import type { NextDue } from '@oilcan/core/finishing/plans';
import type { Settings } from '@oilcan/core/orders/settings';
import { sayLocalDay } from '../../../words/dates';

/** `Mon 14 Mar`; `about Mon 14 Mar (Thu 10 Mar to Fri 18 Mar)` where a meter makes it due. */
export function dueWords({ on, by, spread }: NextDue, present: Instant, settings: Settings): string {
  const say = (day: LocalDay): string => sayLocalDay(day, present, settings.zone, settings.language);
  if (by !== 'meter') return say(on);
  const isWide = spread !== null && spread.from !== spread.to;
  return isWide ? `about ${say(on)} (${say(spread.from)} to ${say(spread.to)})` : `about ${say(on)}`;
}

/** What makes it due then, as the end of a sentence. */
export const byWords: Readonly<Record<NextDue['by'], string>> = {
  dates: 'by its fixed dates',
  completion: 'counted from when it was done',
  meter: 'by its meter',
};
