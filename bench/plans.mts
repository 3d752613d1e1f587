import { addDays, asId, instantFromMillis, type LocalDay, type PlanId, type PointId } from '@oilcan/core/kernel';
import { nextDue, nextOn, type Plan, type Trigger } from '@oilcan/core/finishing/plans';
import { aPlan, aPoint, minutesLater } from '@oilcan/core/testing';
import { RRule } from 'rrule';
import { median, report } from './report.mjs';

const PLANS = 10_000;
const ROUNDS = 5;
const DAY_MINUTES = 24 * 60;
const begin = '2016-01-04' as LocalDay;
const rules = [
  'FREQ=DAILY;INTERVAL=14',
  'FREQ=WEEKLY;BYDAY=MO,TH',
  'FREQ=MONTHLY;BYDAY=-1FR',
  'FREQ=MONTHLY;INTERVAL=3',
  'FREQ=YEARLY;BYMONTH=4,10;BYMONTHDAY=1',
];

/** When 10,000 plans are due next that began ten years ago: each by a rule of dates, every second by its own time or a meter too. */
export function benchPlans(): void {
  const endedOn = '2026-10-20' as LocalDay;
  const plans = Array.from({ length: PLANS }, (_, index): Plan => {
    const dates: Trigger = {
      kind: 'dates',
      rule: rules[index % rules.length] ?? '',
      from: addDays(begin, index % 300),
    };
    const meter: Trigger = { kind: 'meter', pointId: asId<PointId>('hours'), every: 500, from: 0 };
    const after: Trigger = { kind: 'completion', every: 6, unit: 'month' };
    return aPlan({
      id: asId<PlanId>(`plan-${index}`),
      triggers: [dates, ...(index % 2 === 0 ? [meter] : []), ...(index % 4 === 1 ? [after] : [])],
      idle: index % 3 === 0 ? [{ from: '05-01', to: '09-30' }] : [],
      last: {
        dueOn: endedOn,
        endedOn,
        at: instantFromMillis(Date.parse('2026-10-20T12:00:00Z')),
        was: 'done',
        meters: { hours: 1_000 },
      },
    });
  });
  const latest = [0, 1, 2, 3, 4].map((step) => ({
    at: minutesLater((step - 8) * 10 * DAY_MINUTES),
    value: 900 + step * 80,
  }));
  const point = aPoint({ isMeter: true, latest });
  const ours = timed(() => plans.forEach((plan) => nextDue(plan, () => point, 'Europe/Vienna', nextOn)));
  const after = new Date(`${endedOn}T00:00:00Z`);
  const theirs = timed(() =>
    plans.forEach(({ triggers: [first] }) => {
      if (first?.kind !== 'dates') return;
      new RRule({ ...RRule.parseString(first.rule), dtstart: new Date(`${first.from}T00:00:00Z`) }).after(after);
    }),
  );
  const what = 'next due of 10,000 plans that began ten years ago';
  report(what, ours, 'limit', 1_000, 'ms', 'aim: 1.0 or less');
  report(what, ours, 'their dates alone by the plain library', theirs, 'ms', 'aim: 1.0 or less');
}

function timed(task: () => void): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const started = performance.now();
    task();
    return performance.now() - started;
  });
  return median(times);
}
