import type { NextOn } from '@oilcan/core/operations';

let known: NextOn | null = null;

/** What finds the dates of a plan's rule; null until its code has come, which the first screen does not wait for. */
export function planDates(): NextOn | null {
  return known;
}

/** From now on, what hangs on the dates of a plan is judged on this phone too. */
export function knowPlanDates(nextOn: NextOn): void {
  known = nextOn;
}
