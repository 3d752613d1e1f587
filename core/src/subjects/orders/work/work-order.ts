import type {
  AssetId,
  BinId,
  CrewId,
  PartId,
  PersonId,
  PlaceId,
  PlanId,
  PointId,
  SiteId,
  StopId,
  WorkOrderId,
} from '../../../kernel/ids';
import type { MadeKnown, Revision } from '../../../operations/known';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';
import type { LocalDay } from '../../../kernel/time/local-day';
import type { Demands } from './demands';

/** EN 13306 kinds of maintenance work. */
export const workKinds = ['corrective', 'preventive', 'inspection', 'improvement'] as const;
export type WorkKind = (typeof workKinds)[number];

/** How soon it must be answered, most urgent first. */
export const urgencies = ['now', 'shift', 'week', 'free'] as const;
export type Urgency = (typeof urgencies)[number];

export const workStates = ['ready', 'underway', 'held', 'finished', 'accepted', 'dropped'] as const;
export type WorkState = (typeof workStates)[number];

/** Why work rests; `shift`: whoever comes next goes on with it. */
export const holdReasons = ['part', 'access', 'weather', 'help', 'tool', 'shift', 'other'] as const;
export type HoldReason = (typeof holdReasons)[number];

export interface Hazard {
  readonly id: string;
  readonly hazard: string;
  /** What is done about it (ISO 45001). */
  readonly control: string;
  /** The stop of a round at which it waits; absent where it is of the whole job. */
  readonly stopId?: StopId;
  /** When it came to be known; absent where the work order was made with it. */
  readonly addedAt?: Instant;
  /** See `MadeKnown`. */
  readonly revision?: Revision;
}

/** A part that the job is expected to take. */
export interface KitPart {
  readonly partId: PartId;
  readonly binId: BinId;
  /** In `unit`. */
  readonly quantity: Thousandths;
  /** The unit in which it was planned; null for the part's own. */
  readonly unit: string | null;
}

/** A tool that the job needs, and that comes back. */
export interface KitTool {
  readonly name: string;
  readonly count: number;
}

/** When it left the open work, as far as those who did it say: dropped, accepted or finished; null while it is open. */
export function doneAt(work: Pick<WorkOrder, 'finishedAt' | 'closedAt'>): Instant | null {
  return work.closedAt ?? work.finishedAt;
}

/** When the work itself was done, which may be before it was written down; null while it is open. */
export function performedAt(work: Pick<WorkOrder, 'finishedAt' | 'closedAt' | 'doneEarlierAt'>): Instant | null {
  const left = doneAt(work);
  return left === null ? null : (work.doneEarlierAt ?? left);
}

export const energies = [
  'electrical',
  'hydraulic',
  'pneumatic',
  'mechanical',
  'gravity',
  'thermal',
  'chemical',
  'water',
] as const;
export type Energy = (typeof energies)[number];

/** One place where energy is kept away from the machine while people work on it. */
export interface IsolationPoint {
  readonly id: string;
  readonly energy: Energy;
  /** What is switched, shut or blocked, and where. */
  readonly device: string;
  /** How what is left behind it is let go; null where nothing stays stored. */
  readonly release: string | null;
  /** How it is seen that no energy is left. */
  readonly test: string;
}

/** Work that is put off: it leaves the lists until a day begins, and comes back by itself. */
export interface PutOff {
  readonly until: LocalDay;
  readonly reason: string;
  readonly by: PersonId;
  readonly at: Instant;
}

/** What somebody who left the work says to whoever goes on with it. */
export interface HandOver {
  readonly line: string;
  readonly by: PersonId;
  readonly at: Instant;
  /** When that came to be known, which may be long after. */
  readonly since: Instant;
}

/** Of which plan work is, and which time of it. */
export interface OfPlan {
  readonly planId: PlanId;
  /** Counted from 1. */
  readonly occurrence: number;
  readonly dueOn: LocalDay;
}

/** A piece of maintenance work. What was recorded on it are its entries, which are rows of their own. */
export interface WorkOrder {
  readonly id: WorkOrderId;
  /** `W-2417`. */
  readonly number: string;
  readonly siteId: SiteId;
  readonly assetId: AssetId;
  readonly placeId: PlaceId;
  readonly kind: WorkKind;
  readonly urgency: Urgency;
  readonly state: WorkState;
  readonly title: string;
  /** Why it is done: what was noticed, or what makes it due. */
  readonly reason: string;
  readonly tradeId: string;
  readonly dueAt: Instant | null;
  /** The day on which it is to be done, on the calendar of the site; absent or null for none. */
  readonly plannedOn?: LocalDay | null;
  /** Until when it is put off; absent or null where it is not. Once that day has begun, it means nothing any more. */
  readonly putOff?: PutOff | null;
  /** How often it was put off; absent for never. */
  readonly timesPutOff?: number;
  readonly estimateMinutes: number;
  readonly personIds: readonly PersonId[];
  readonly crewId: CrewId | null;
  /** Those who have a share of it, by name or not; absent where nobody ever had one. */
  readonly sharedWith?: readonly PersonId[];
  /** Who had it before it was given to others, and when that came to be known. */
  readonly previousAssignees:
    (MadeKnown & { readonly personIds: readonly PersonId[]; readonly crewId: CrewId | null }) | null;
  readonly hazards: readonly Hazard[];
  readonly kit: readonly KitPart[];
  readonly tools: readonly KitTool[];
  /** Where energy is kept away while people work on it; none where nothing can start or fall. */
  readonly isolation: readonly IsolationPoint[];
  readonly createdAt: Instant;
  readonly startedAt: Instant | null;
  readonly finishedAt: Instant | null;
  readonly finishedBy: PersonId | null;
  /** When the work was done, where that was on a day before it was finished here; absent where it was not. */
  readonly doneEarlierAt?: Instant;
  /** When it was accepted or dropped. */
  readonly closedAt: Instant | null;
  /** Why it is held, while it is. */
  readonly held: { readonly reason: HoldReason; readonly note: string } | null;
  /** What was said last to whoever goes on with it; absent for nothing, and once it is finished. */
  readonly handOver?: HandOver;
  /** Why it came back after finishing, until it is finished again. */
  readonly handedBack: (MadeKnown & { readonly reason: string; readonly by: PersonId }) | null;
  /** Who changed the state last, and when that came to be known, which may be long after it was done. */
  readonly lastTransition: (MadeKnown & { readonly by: PersonId }) | null;
  /** The measuring point whose alarm it answers; absent where it answers none. */
  readonly alarmOf?: PointId;
  /** What its procedure wants beside what its kind of work does; absent for nothing more. */
  readonly demands?: Partial<Demands>;
  /** To whom it was given and whose time is still missing since it was finished; absent for nobody. */
  readonly timeOwedBy?: readonly PersonId[];
  /** What the work it came from had left that this one answers: steps and measuring points; absent for nothing. */
  readonly answers?: readonly string[];
  /** The plan that made it due; absent for none. */
  readonly plan?: OfPlan;
  /** That it was raised and waits for a lead, or who let it start; absent where it never had to wait. */
  readonly goAhead?: { readonly since: Instant; readonly givenBy: PersonId | null };
  /** Its work was done before anybody raised it; absent where it was not. */
  readonly wasDoneBefore?: true;
  /** Who raised it; absent where nobody did: a plan made it, or it is older than this. */
  readonly raisedBy?: PersonId;
  /** The work order that led to this one. */
  readonly cameFrom: WorkOrderId | null;
}
