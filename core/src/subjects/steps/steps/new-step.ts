import * as yup from 'yup';
import { asId, type ProcedureId, type StepId, type StopId, type WorkOrderId } from '../../../kernel/ids';
import { argsSchema, LONGEST_LINE, textField } from '../../../kernel/schema/fields';
import { optionalVariantField } from '../../../kernel/schema/variant-field';
import { accepted, refuse, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { WorkOrder } from '../../orders/work/work-order';
import { testShapes, type AnswerTest } from './condition';
import { questionField, stepKindNamed, type StepQuestion } from './kinds/kinds';
import { pointOf, type Step } from './step';

/** Steps that are made at once, at most. */
const MOST_NEW_STEPS = 400;

/** A branch within a list of new steps: the step is asked where the one at `step`, counted from 0, was answered so. */
export type NewCondition = AnswerTest & { readonly step: number };

/** A step that is to be made, as one of a list. */
export interface NewStep {
  readonly text: string;
  readonly question: StepQuestion;
  /** Where in the list the step stands that it is part of, counted from 0; null for none. */
  readonly under: number | null;
  readonly when: NewCondition | null;
}

const placeInList = () =>
  yup
    .number()
    .strict()
    .integer()
    .min(0)
    .max(MOST_NEW_STEPS - 1);

const newStepField = argsSchema({
  text: textField(LONGEST_LINE),
  question: questionField,
  under: placeInList().defined().nullable(),
  when: optionalVariantField<NewCondition>(
    'is',
    Object.fromEntries(
      Object.entries(testShapes).map(([name, shape]) => [name, { ...shape, step: placeInList().required() }]),
    ),
  ),
}) as yup.Schema<NewStep>;

/** A list of new steps. */
export function newStepsField(): yup.Schema<readonly NewStep[]> {
  return yup
    .array()
    .strict()
    .of(newStepField as yup.Schema<unknown>)
    .required('Give the steps, an empty list for none.')
    .max(MOST_NEW_STEPS, `At most ${MOST_NEW_STEPS} steps can be given.`) as unknown as yup.Schema<readonly NewStep[]>;
}

/**
 * Whether a list of new steps makes sense: each is part of, and waits for, steps that stand before it, so that no branch ever
 * comes back to itself.
 */
export function checkNewSteps(steps: readonly NewStep[]): Outcome {
  for (const [index, { question, under, when }] of steps.entries()) {
    const number = index + 1;
    if (under !== null && under >= index) return refuse('step_part_of_later', { number }, 'steps');
    if (when !== null && when.step === index) return refuse('branch_calls_itself', { number }, 'steps');
    if (when !== null && when.step > index) return refuse('branch_waits_for_later', { number }, 'steps');
    const asked = stepKindNamed(question.type)?.checkQuestion(question) ?? accepted;
    if (!asked.ok) return { ...asked, field: 'steps' };
  }
  return accepted;
}

/** Whether the measuring points that new steps name are there, on the site. */
export async function checkPoints(records: Records, steps: readonly NewStep[], siteId: string): Promise<Outcome> {
  for (const { question } of steps) {
    const pointId = pointOf(question);
    if (pointId === null) continue;
    const point = await records.get('points', pointId);
    if (point?.siteId !== siteId) return refuse('not_found', { what: 'measuring point' }, 'steps');
    if (question.type === 'meter' && !point.isMeter) return refuse('point_no_meter', { point: point.name }, 'steps');
  }
  return accepted;
}

interface Made {
  /** The stop at which they are done; null for none. */
  readonly stopId: StopId | null;
  /** What their ids begin with. */
  readonly prefix: string;
  readonly workOrderId: WorkOrderId;
  readonly siteId: WorkOrder['siteId'];
  /** How many steps there are before them. */
  readonly after: number;
  readonly added: Step['added'];
}

/** The rows of new steps. */
export function stepsOf(
  steps: readonly NewStep[],
  { prefix, workOrderId, siteId, stopId, after, added }: Made,
): Step[] {
  const idAt = (index: number): StepId => asId<StepId>(`${prefix}-s${index + 1}`);
  return steps.map(({ text, question, under, when }, index) => ({
    id: idAt(index),
    siteId,
    workOrderId,
    position: after + index + 1,
    text,
    question,
    stopId,
    parentId: under === null ? null : idAt(under),
    condition: when === null ? null : conditionOf(when, idAt),
    added,
    answer: null,
    answeredAt: null,
  }));
}

function conditionOf({ step, ...test }: NewCondition, idAt: (index: number) => StepId): Step['condition'] {
  return { stepId: idAt(step), test };
}

/** Who adds steps, and out of which procedure. */
export function addedBy({ person, at }: OperationContext, procedureId: ProcedureId | null): Step['added'] {
  return { by: person.id, at, procedureId };
}
