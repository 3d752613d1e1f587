import type { EntryId, PersonId, PointId, SiteId, StepId, WorkOrderId } from '../../kernel/ids';
import type { Limits } from '../plant/plant';
import type { Instant } from '../../kernel/time/instant';

/** What a step asks for. A number that belongs to a measuring point is also taken as a reading there. */
export type StepQuestion =
  | { readonly type: 'tick' }
  | { readonly type: 'verdict' }
  | {
      readonly type: 'number';
      readonly unit: string;
      readonly decimals: number;
      readonly limits: Limits;
      readonly pointId: PointId | null;
    };

export const outcomes = ['ok', 'fixed', 'faulty'] as const;
export type StepOutcome = (typeof outcomes)[number];

export type StepAnswer =
  | { readonly type: 'tick' }
  | { readonly type: 'verdict'; readonly outcome: StepOutcome }
  | { readonly type: 'number'; readonly value: number };

/** One thing to do or answer on a work order. */
export interface Step {
  readonly id: StepId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  /** Counts from 1 within the work order. */
  readonly position: number;
  readonly text: string;
  readonly question: StepQuestion;
  /** The answer that holds now; every answer ever given is in the record. */
  readonly answer: {
    readonly value: StepAnswer;
    readonly at: Instant;
    readonly by: PersonId;
    readonly entryId: EntryId;
  } | null;
  /** When it was last answered, or an answer taken back. */
  readonly answeredAt: Instant | null;
}

export function inOrder(steps: readonly Step[]): Step[] {
  return [...steps].sort((a, b) => a.position - b.position);
}

export interface Progress {
  readonly done: number;
  readonly of: number;
}

export function progressOf(steps: readonly Step[]): Progress {
  return { done: steps.filter((step) => step.answer !== null).length, of: steps.length };
}
