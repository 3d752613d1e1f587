import { isLocalDay } from '../../../kernel/time/local-day';
import type { Records } from '../../../records/records';
import { isSeason } from './idle-season';
import type { Plan, Trigger } from './plan';
import { problemOfRule } from './rule';

/** Years between two times, at most; so many days, weeks or months are less. */
const LONGEST_EVERY = { day: 36_525, week: 5_218, month: 1_200, year: 100 } as const;
const MOST_TRIGGERS = 10;

/** What is wrong with a plan, as sentences: with its rules, its machine, its meters. None for a plan that can be used. */
export async function problemsOfPlan(plan: Plan, records: Pick<Records, 'get'>): Promise<string[]> {
  const problems: string[] = [];
  const asset = await records.get('assets', plan.assetId);
  if (asset === undefined) problems.push('Its machine is not there.');
  else if (asset.retiredOn !== undefined) problems.push(`${asset.name} is retired. Nothing is planned on it.`);
  else if (asset.siteId !== plan.siteId) problems.push(`${asset.name} stands on another site.`);
  if (plan.procedureId !== null && (await records.get('procedures', plan.procedureId)) === undefined)
    problems.push('Its procedure is not there.');
  if (plan.triggers.length === 0 || plan.triggers.length > MOST_TRIGGERS)
    problems.push(`Say what makes it due: 1 to ${MOST_TRIGGERS} things.`);
  for (const trigger of plan.triggers) problems.push(...(await problemsOfTrigger(trigger, plan, records)));
  if (!plan.idle.every(isSeason)) problems.push('A season in which nothing runs is not one of a year.');
  if (![plan.startsOn, ...plan.except].every(isLocalDay)) problems.push('A day is not on the calendar.');
  if (!isWhole(plan.leadDays, 0, 366)) problems.push('Its work order appears 0 to 366 days before it is due.');
  if (!isWhole(plan.dueMinutes, 0, 1_439)) problems.push('The time of the day is not one.');
  return problems;
}

async function problemsOfTrigger(trigger: Trigger, plan: Plan, records: Pick<Records, 'get'>): Promise<string[]> {
  switch (trigger.kind) {
    case 'dates': {
      if (!isLocalDay(trigger.from)) return ['Its dates begin on a day that is not on the calendar.'];
      const problem = problemOfRule(trigger.rule, trigger.from);
      return problem === null ? [] : [sentences[problem](trigger.rule)];
    }
    case 'completion':
      return isWhole(trigger.every, 1, LONGEST_EVERY[trigger.unit]) ? [] : ['It comes round after 1 day to 100 years.'];
    case 'meter': {
      const point = await records.get('points', trigger.pointId);
      if (point?.isMeter !== true || point.siteId !== plan.siteId) return ['Its meter is not there, or is none.'];
      return trigger.every > 0 && Number.isFinite(trigger.every) && Number.isFinite(trigger.from)
        ? []
        : ['A meter makes it due after more than nothing.'];
    }
  }
}

const sentences = {
  rule_unreadable: (rule: string) => `“${rule}” is not a rule of dates as RFC 5545 has them.`,
  rule_too_often: (rule: string) => `“${rule}” comes more than once a day. A plan is due once a day at most.`,
  rule_forbidden: (rule: string) =>
    `“${rule}” joins parts that RFC 5545 does not allow together, or has one out of its range.`,
  rule_never: (rule: string) => `“${rule}” never comes.`,
};

function isWhole(value: number, least: number, most: number): boolean {
  return Number.isInteger(value) && value >= least && value <= most;
}
