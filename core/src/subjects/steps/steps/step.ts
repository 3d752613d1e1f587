import type {
  EntryId,
  FileId,
  PersonId,
  PointId,
  ProcedureId,
  SiteId,
  StepId,
  StopId,
  WorkOrderId,
} from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Signature } from '../../../kernel/signature/signature';
import type { PictureType } from '../../plant/files/files';
import type { StepCondition } from './condition';
import { stepKindNamed, type StepAnswer, type StepQuestion } from './kinds/kinds';
import type { AsLeft } from './kinds/step-kind';

/** One thing to do or answer on a work order. */
export interface Step {
  readonly id: StepId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  /** Orders the steps that belong to the same step, or to none. */
  readonly position: number;
  readonly text: string;
  readonly question: StepQuestion;
  /** The stop of the round at which it is done; null where it belongs to the whole job. */
  readonly stopId: StopId | null;
  /** The step that it is part of; null for none. */
  readonly parentId: StepId | null;
  /** What must have been answered for it to be asked at all; null where it is always asked. */
  readonly condition: StepCondition | null;
  /** Who added it during the job; null where the job was made with it. */
  readonly added: { readonly by: PersonId; readonly at: Instant; readonly procedureId: ProcedureId | null } | null;
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

/** How what a step looks at was left, where it was found faulty; null otherwise. */
export function faultyOf(question: StepQuestion, answer: StepAnswer | null): AsLeft | null {
  if (answer === null || answer.type !== question.type) return null;
  return stepKindNamed(question.type)?.faulty(question, answer) ?? null;
}

/** The measuring point at which the answer of a step is a reading. */
export function pointOf(question: StepQuestion): PointId | null {
  return stepKindNamed(question.type)?.point(question) ?? null;
}

/** The picture that an answer is; null where it is none. */
export function pictureOfAnswer(
  answer: StepAnswer | null,
): { readonly fileId: FileId; readonly mediaType: PictureType } | null {
  return answer === null ? null : (stepKindNamed(answer.type)?.picture?.(answer) ?? null);
}

/** What was signed by an answer; null where nothing was. */
export function signatureOfAnswer(answer: StepAnswer | null): Signature | null {
  return answer === null ? null : (stepKindNamed(answer.type)?.signature?.(answer) ?? null);
}

export interface Progress {
  readonly done: number;
  readonly of: number;
}
