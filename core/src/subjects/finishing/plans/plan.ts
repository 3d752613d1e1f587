import type { AssetId, CrewId, PersonId, PlanId, PointId, ProcedureId, SiteId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { CalendarUnit, LocalDay } from '../../../kernel/time/local-day';
import type { Urgency, WorkKind } from '../../orders/work/work-order';

/** What makes a plan due. */
export type Trigger =
  /** Fixed dates: an RFC 5545 recurrence rule from a first day on. */
  | { readonly kind: 'dates'; readonly rule: string; readonly from: LocalDay }
  /** So long after it was done last. */
  | { readonly kind: 'completion'; readonly every: number; readonly unit: CalendarUnit }
  /** When a meter has gone on by `every`; by `from` until it was done first. */
  | { readonly kind: 'meter'; readonly pointId: PointId; readonly every: number; readonly from: number };

/** Part of every year in which nothing runs, from a day to a day, both within it: `11-01`. It may go over the turn of the year. */
export interface IdleSeason {
  readonly from: string;
  readonly to: string;
}

/** How the last work order of a plan ended. */
export interface LastEnded {
  readonly dueOn: LocalDay;
  readonly endedOn: LocalDay;
  readonly at: Instant;
  readonly was: 'done' | 'dropped';
  /** What the meters that make it due showed then. */
  readonly meters: Readonly<Record<string, number>>;
  /** What those had gone on by then, over roll-overs and replacements; absent where that was not kept. */
  readonly used?: Readonly<Record<string, number>>;
}

/** What makes preventive work due on a machine, and what is then to be done. When it is due next is computed of it (`nextDue`). */
export interface Plan {
  readonly id: PlanId;
  readonly siteId: SiteId;
  readonly assetId: AssetId;
  readonly title: string;
  /** Why it is done, as its work orders say. */
  readonly reason: string;
  readonly kind: WorkKind;
  readonly urgency: Urgency;
  readonly tradeId: string;
  readonly estimateMinutes: number;
  /** To whom its work is given. */
  readonly personIds: readonly PersonId[];
  readonly crewId: CrewId | null;
  /** Steps, kit, tools and hazards of its work; null for none. */
  readonly procedureId: ProcedureId | null;
  /** Whichever makes it due first. */
  readonly triggers: readonly Trigger[];
  /** Its work order appears so many days before it is due. */
  readonly leadDays: number;
  /** By what time of the day it is due, in minutes after midnight on the clocks of the site. */
  readonly dueMinutes: number;
  /** Until it was done first it counts from here, and never is due before. */
  readonly startsOn: LocalDay;
  /** When nothing runs: what falls due then waits for the first day after. */
  readonly idle: readonly IdleSeason[];
  /** Dates that are left out. */
  readonly except: readonly LocalDay[];
  /** Null until it was done first. */
  readonly last: LastEnded | null;
  /** How many of its work orders have been made. */
  readonly made: number;
  /** The work order that is open of it; there is one at a time. */
  readonly open: { readonly workOrderId: WorkOrderId; readonly dueOn: LocalDay } | null;
}
