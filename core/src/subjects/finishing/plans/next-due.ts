import { instantFromMillis, type Instant } from '../../../kernel/time/instant';
import { addCalendar, addDays, localDate, type LocalDay } from '../../../kernel/time/local-day';
import type { Zone } from '../../../kernel/time/zone';
import type { NextOn } from '../../../operations/operation';
import type { MeasuringPoint } from '../../plant/plant/plant';
import { runsFrom } from './idle-season';
import { meterDue } from './meter-due';
import type { LastEnded, Plan, Trigger } from './plan';

/** When a plan is due next, and what makes it so. */
export interface NextDue {
  readonly on: LocalDay;
  readonly by: Trigger['kind'];
  /** For one by meter: nine times of ten it is due between these; null where it is certain, or too little is known. */
  readonly spread: { readonly from: LocalDay; readonly to: LocalDay } | null;
}

const DAY = 86_400_000;

type Counted = Pick<Plan, 'triggers' | 'startsOn' | 'idle' | 'except' | 'last'>;

/**
 * When a plan is due next: the first of what makes it due, never before it starts, and never while nothing runs. Null where nothing
 * makes it due any more, or nothing is known of its meter. Fixed dates that passed while it was late are not made up for; done early,
 * its own date counts as done.
 *
 * @param nextOn finds the dates of a rule: the one of `rule.ts`, which is given so that a phone can load it after its first screen
 */
export function nextDue(
  plan: Counted,
  pointOf: (id: string) => Pick<MeasuringPoint, 'latest' | 'rollsOverAt'> | undefined,
  zone: Zone,
  nextOn: NextOn,
): NextDue | null {
  let first: NextDue | null = null;
  for (const trigger of plan.triggers) {
    const due = dueBy(plan, trigger, pointOf, zone, nextOn);
    if (due !== null && (first === null || due.on < first.on)) first = due;
  }
  return first;
}

function dueBy(
  plan: Counted,
  trigger: Trigger,
  pointOf: Parameters<typeof nextDue>[1],
  zone: Zone,
  nextOn: NextOn,
): NextDue | null {
  switch (trigger.kind) {
    case 'dates': {
      const on = dateAfter(plan, trigger, nextOn);
      return on === null ? null : { on, by: 'dates', spread: null };
    }
    case 'completion': {
      const on = plan.last === null ? plan.startsOn : addCalendar(countsFrom(plan.last), trigger.every, trigger.unit);
      return { on: runsFrom(later(on, plan.startsOn), plan.idle), by: 'completion', spread: null };
    }
    case 'meter': {
      const point = pointOf(trigger.pointId);
      const shown = plan.last?.meters[trigger.pointId];
      const since =
        shown === undefined
          ? { value: trigger.from, at: null, used: trigger.from }
          : { value: shown, at: plan.last?.at ?? null, used: plan.last?.used?.[trigger.pointId] ?? null };
      const due = point === undefined ? null : meterDue(point, since, trigger.every, plan.idle);
      if (due === null) return null;
      const day = (at: number): LocalDay => later(localDate(momentOf(at), zone), plan.startsOn);
      const spread = due.spread === null ? null : { from: day(due.spread.from), to: day(due.spread.to) };
      return { on: runsFrom(day(due.at), plan.idle), by: 'meter', spread };
    }
  }
}

/** The first date of a rule that is not over, nor left out, nor the one that was done. */
function dateAfter(
  { last, startsOn, idle, except }: Counted,
  { rule, from }: Trigger & { kind: 'dates' },
  nextOn: NextOn,
): LocalDay | null {
  const over = last === null ? addDays(startsOn, -1) : later(last.dueOn, last.endedOn);
  let date = nextOn(rule, from, later(over, addDays(startsOn, -1)));
  while (date !== null && except.includes(date)) date = nextOn(rule, from, date);
  return date === null ? null : runsFrom(date, idle);
}

/** What was dropped counts as if it had been done when it was due. */
function countsFrom({ was, dueOn, endedOn }: LastEnded): LocalDay {
  return was === 'dropped' ? dueOn : endedOn;
}

function later(a: LocalDay, b: LocalDay): LocalDay {
  return a > b ? a : b;
}

function momentOf(days: number): Instant {
  return instantFromMillis(Math.round(days * DAY));
}
