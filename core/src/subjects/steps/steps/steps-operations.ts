import type { ProcedureId, StepId, StopId, WorkOrderId } from '../../../kernel/ids';
import { argsSchema, idField, idFieldIfAny, optionalIdField } from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Outcome,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { beginWork, readsToBegin } from '../../orders/hazards/begin-work';
import { checkReading, readingContent, withoutReading, withReading } from '../readings/reading';
import { entryBeside } from '../../orders/work/entry-ids';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import { findStep } from './find-step';
import { machineOfEntry } from './machine-of-entry';
import { answerField, stepKindNamed, type StepAnswer } from './kinds/kinds';
import { addedBy, checkNewSteps, checkPoints, newStepsField, stepsOf } from './new-step';
import { faultyOf, pointOf, type Step } from './step';
import type { AnswerContent } from './steps-entries';
import { answerUpgraded } from './upgrades';

/** Steps of one work order, at most. */
const MOST_STEPS = 1_000;

/** Answers a step, changes the answer, says why it is skipped, or takes back what was said with `null`. */
const answerStep = defineOperation({
  label: 'this step',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    stepId: idField<StepId>(),
    answer: answerField,
  }),
  file: 'answer.fileId',
  reads: ({ workOrderId, stepId }, by) => [...readsToBegin(workOrderId, by), rowNamed('steps', stepId)],
  correct: { fields: { answer: 'numberAnswer' }, keepsTime: true },
  upgrades: [{ to: 8, change: (args) => ({ ...args, answer: answerUpgraded(args['answer']) }) }],
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, 'of others', context);
    if (!begun.ok) return begun;
    const found = await findStep(records, args.stepId, args.workOrderId);
    if (!found.ok) return found;
    const { answer } = args;
    const possible = checkAnswer(found.value, answer);
    if (!possible.ok) return possible;
    // Somebody answered later and was heard earlier: that answer stands, and this one stays in the record.
    const isOvertaken = found.value.answeredAt !== null && found.value.answeredAt > context.at;
    const step = isOvertaken ? { ...found.value, answer: null } : found.value;
    const read = await readForStep(records, begun.value, step, answer, context);
    if (!read.ok) return read;
    if (!isOvertaken) {
      const given = { at: context.at, by: context.person.id, entryId: context.entryId };
      const kept = answer === null ? null : { value: answer, ...given };
      await records.put('steps', { ...step, answer: kept, answeredAt: context.at });
    }
    const machine = await machineOfEntry(records, begun.value, args);
    if (!machine.ok) return machine;
    const entry = newEntry(begun.value, answerContent(found.value, answer), context);
    await records.put('entries', { ...entry, assetId: machine.value });
    return accepted;
  },
});

function checkAnswer({ question }: Step, answer: StepAnswer | null): Outcome {
  if (answer === null || answer.type === 'skipped') return accepted;
  const kind = stepKindNamed(question.type);
  if (kind === undefined || answer.type !== question.type) return refuse('answer_of_wrong_kind', {}, 'answer');
  const checked = kind.check(question, answer);
  return checked.ok ? checked : { ...checked, field: checked.field === null ? 'answer' : `answer.${checked.field}` };
}

/** What is recorded of an answer; what was found faulty in words, since the past is read without the steps. */
export function answerContent({ id, text, question }: Step, answer: StepAnswer | null): AnswerContent {
  const asLeft = faultyOf(question, answer);
  if (answer === null || asLeft === null) return { kind: 'answer', stepId: id, answer, faulty: null };
  const said = stepKindNamed(question.type)?.said(question, answer) ?? '';
  return { kind: 'answer', stepId: id, answer, faulty: { text, said, asLeft } };
}

/** Adds steps during the job: out of a procedure, or typed. */
const addSteps = defineOperation({
  label: 'these steps',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    procedureId: optionalIdField<ProcedureId>(),
    steps: newStepsField(),
    stopId: idFieldIfAny<StopId>(),
  }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId, procedureId, steps, stopId }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    if (steps.length === 0) return refuse('no_steps_given', {}, 'steps');
    const { siteId } = found.value;
    const possible = checkNewSteps(steps);
    if (!possible.ok) return possible;
    const arePointsThere = await checkPoints(records, steps, siteId);
    if (!arePointsThere.ok) return arePointsThere;
    const stop = stopId === undefined ? undefined : await records.get('stops', stopId);
    if (stopId !== undefined && stop?.workOrderId !== workOrderId)
      return refuse('not_found', { what: 'stop' }, 'stopId');
    const before = await records.list('steps', 'workOrder', workOrderId);
    if (before.length + steps.length > MOST_STEPS) return refuse('too_many_steps', { limit: MOST_STEPS }, 'steps');
    const after = Math.max(0, ...before.map(({ position }) => position));
    const prefix = context.operationId;
    const made = { prefix, workOrderId, siteId, stopId: stopId ?? null, after, added: addedBy(context, procedureId) };
    for (const step of stepsOf(steps, made)) await records.put('steps', step);
    return accepted;
  },
});

/**
 * Keeps the reading in step with a number step that belongs to a measuring point: a new answer amends the reading of
 * the answer before it, and an answer taken back withdraws it.
 */
async function readForStep(
  records: Records,
  work: WorkOrder,
  step: Step,
  answer: StepAnswer | null,
  context: OperationContext,
): Promise<Outcome> {
  const pointId = pointOf(step.question);
  if (pointId === null) return accepted;
  const point = await records.get('points', pointId);
  if (point === undefined) return accepted;
  const before = step.answer;
  const cleared = before === null ? point : withoutReading(point, before.at);
  const amends = before === null ? null : entryBeside(before.entryId, 'reading');
  const entry = {
    ...newEntry(work, { kind: 'withdrawal', reason: '' }, context),
    id: entryBeside(context.entryId, 'reading'),
  };
  if (answer?.type !== 'number' && answer?.type !== 'meter') {
    if (before === null) return accepted;
    await records.put('points', cleared);
    await records.put('entries', { ...entry, assetId: point.assetId, amends });
    return accepted;
  }
  const checked = checkReading(cleared, answer.value, context);
  if (!checked.ok) return refuse(checked.code, checked.values, 'answer.value');
  const content = readingContent(point, answer.value, answer.type === 'number' ? answer.typed : undefined);
  await records.put('points', withReading(cleared, answer.value, context));
  await records.put('entries', { ...entry, assetId: point.assetId, amends, content });
  return accepted;
}

export const stepsOperations = { 'step.answer': answerStep, 'steps.add': addSteps };
