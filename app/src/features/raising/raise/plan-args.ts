import { isLocalDay, parseDuration, type CrewId, type PersonId } from '@oilcan/core/kernel';
import type { Settings } from '@oilcan/core/orders/settings';
import { urgencies, type Urgency, type WorkKind, type WorkOrder } from '@oilcan/core/orders/work';
import type { Asset } from '@oilcan/core/plant/plant';
import type { Report } from '@oilcan/core/raising/reports';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import { stepsAfter, type Procedure } from '@oilcan/core/steps/procedures';
import type { NewStep } from '@oilcan/core/steps/steps';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { now } from '../../../data/store/store';
import { durationProblem } from '../../../forms/typed-words';
import { dueOn } from '../../finishing/schedule';
import type { AlongFromRaise } from './taken';

/** What is typed and chosen of a new work order. */
export interface TypedPlan {
  readonly title: string;
  readonly reason: string;
  readonly estimate: string;
  readonly urgency: Urgency;
  readonly kind: WorkKind;
  readonly tradeId: string;
  /** The day; empty for that of the rule of how soon. */
  readonly due: string;
  readonly plannedOn: string;
  readonly personIds: PersonId[];
  readonly crewId: string;
  readonly steps: NewStep[];
}

/** What else makes it what it is. */
export interface PlanFacts {
  readonly asset: Asset;
  /** What is to be done, where that is said elsewhere; null where it is typed. */
  readonly words: string | null;
  /** The reports that it answers; none where nobody reported it. */
  readonly reports: readonly Report[];
  readonly along: AlongFromRaise;
  /** The job of which it is further work; none where it stands for itself. */
  readonly cameFrom?: WorkOrder | undefined;
  readonly settings: Settings;
  readonly procedure: Procedure | null;
  readonly usual: { readonly minutes: number; readonly kit: ArgsOf<'work.raise'>['kit'] };
}

type ReadPlan = { readonly args: ArgsOf<'work.raise'> } | { readonly unreadable: 'estimate'; readonly hint: string };

/** The work order that was typed. */
export function readPlan(typed: TypedPlan, facts: PlanFacts): ReadPlan {
  const { asset, words, reports, along, cameFrom, settings, procedure, usual } = facts;
  const minutes = typed.estimate.trim() === '' ? usual.minutes : parseDuration(typed.estimate);
  if (minutes === undefined) return { unreadable: 'estimate', hint: durationProblem(typed.estimate) };
  const title = words === null ? typed.title.trim() : titleOf(words);
  const stopped = stoppedIn(reports);
  const how = along.how ?? { condition: stopped?.condition ?? null, since: stopped?.since ?? stopped?.at ?? null };
  const isOut = how.condition === 'stopped' || how.condition === 'reduced';
  const extent = how.condition === 'stopped' ? 'full' : 'reduced';
  return {
    args: {
      ...furtherWorkOrder({
        assetId: asset.id,
        title,
        reason: words === null ? typed.reason.trim() : words === title ? '' : words,
        urgency: typed.urgency,
        tradeId: typed.tradeId === '' ? null : typed.tradeId,
        cameFrom: cameFrom?.id ?? null,
      }),
      kind: typed.kind,
      dueAt: isLocalDay(typed.due) ? dueOn(typed.due, now(), settings.zone) : null,
      estimateMinutes: minutes,
      steps: [...(procedure?.steps ?? []), ...stepsAfter(typed.steps, procedure?.steps.length ?? 0)],
      kit: [...(procedure?.kit ?? usual.kit)],
      tools: [...(procedure?.tools ?? [])],
      hazards: [...(procedure?.hazards ?? [])],
      personIds: typed.personIds,
      crewId: typed.crewId === '' ? null : (typed.crewId as CrewId),
      ...(isLocalDay(typed.plannedOn) ? { plannedOn: typed.plannedOn } : {}),
      ...(reports.length === 0 ? {} : { reportIds: reports.map(({ id }) => id) }),
      ...(isOut ? { stoppage: { from: how.since ?? now(), extent, lostPercent: null } as const } : {}),
    },
  };
}

/** The report that says that the machine stands still, or runs, but not fully. */
export const stoppedIn = (reports: readonly Report[]): Report | undefined =>
  reports.find(({ condition }) => condition === 'stopped' || condition === 'reduced');

/** The first sentence of what was said, short enough for a title. */
export function titleOf(words: string): string {
  const [first = ''] = words.trim().split(/(?<=[.!?])\s|\n/);
  return first.length <= 120 ? first : `${first.slice(0, 119)}…`;
}

/** What was reported, as the reason of the work that answers it. */
export function reasonOf(reports: readonly Report[]): string {
  return reports.map(({ number, words }) => `${number}: ${words}`).join('\n');
}

/** The urgency of the most urgent. */
export const mostUrgent = (reports: readonly Report[]): Urgency =>
  urgencies.find((urgency) => reports.some((report) => report.urgency === urgency)) ?? 'week';
