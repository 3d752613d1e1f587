import type { StepPlan } from './step-plan';
import type { HoldReason, Urgency, WorkKind } from '@oilcan/core/orders/work';

/** A machine on a round. */
export interface StopPlan {
  readonly asset: string;
  /** Keys of the hazard list: what endangers people there. */
  readonly hazards?: readonly string[];
  readonly steps: readonly StepPlan[];
}

/** What of a job is somebody's own. */
export interface SharePlan {
  readonly person: string;
  readonly trade: string;
  readonly minutes: number;
  /** The steps of the job by their numbers, the first is 1; of a round none. */
  readonly steps?: readonly number[];
  /** The machines at whose stops the steps are. */
  readonly stops?: readonly string[];
}

/** A job that is open when the demo starts, written out by hand. */
export interface OpenJob {
  readonly asset: string;
  readonly title: string;
  readonly reason: string;
  readonly kind: WorkKind;
  readonly urgency: Urgency;
  readonly trade: string;
  /** Days from today and hour of the day. */
  readonly due: readonly [day: number, hour: number] | null;
  readonly minutes: number;
  /** Person ids, or the id of a crew. */
  readonly people: readonly string[];
  readonly crew?: string;
  /** Keys of the hazard list. */
  readonly hazards: readonly string[];
  /** Number, thousandths, and the unit where it was planned in another than the part's own. */
  readonly kit: readonly (readonly [number: string, thousandths: number, unit?: string])[];
  readonly steps: readonly StepPlan[];
  /** The machines that are walked to, in their order; none where it is no round. */
  readonly stops?: readonly StopPlan[];
  readonly shares?: readonly SharePlan[];
  /** So many steps are done already, by the first person. */
  readonly done?: number;
  readonly held?: readonly [reason: HoldReason, note: string];
  readonly handedBack?: string;
  /** So many days from today it is planned for. */
  readonly plannedIn?: number;
  /** So many days from today it is put off to, why, and how often it was put off with that. */
  readonly putOff?: readonly [days: number, reason: string, times: number];
  readonly notes?: readonly (readonly [person: string, text: string])[];
}
