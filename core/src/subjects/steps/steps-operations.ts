import type { StepId, WorkOrderId } from '../../kernel/ids';
import { argsSchema, idField } from '../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type Found,
  type OperationContext,
  type Outcome,
} from '../../operations/operation';
import type { Records } from '../../records/records';
import { beginWork, readsToBegin } from '../hazards/begin-work';
import { checkReading, LARGEST_READING, readingContent, withoutReading, withReading } from '../readings/reading';
import type { EntryContent } from '../work/entries';
import { entryBeside } from '../work/entry-ids';
import { newEntry } from '../work/guards';
import type { WorkOrder } from '../work/work-order';
import { answerField } from './answer-field';
import type { Step, StepAnswer } from './step';

/** Answers a step, changes the answer, or takes it back with `null`. */
const answerStep = defineOperation({
  label: 'this step',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    stepId: idField<StepId>(),
    answer: answerField,
  }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, stepId }, by) => [...readsToBegin(workOrderId, by), rowNamed('steps', stepId)],
  mend: { fields: { answer: 'numberAnswer' }, keepsTime: true },
  upgrades: [],
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, context);
    if (!begun.ok) return begun;
    const found = await findStep(records, args.stepId, args.workOrderId);
    if (!found.ok) return found;
    const { answer } = args;
    if (answer !== null && answer.type !== found.value.question.type) {
      return refuse('answer_of_wrong_kind', {}, 'answer');
    }
    if (answer?.type === 'number' && Math.abs(answer.value) > LARGEST_READING) {
      return refuse('reading_out_of_range', {}, 'answer.value');
    }
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
    const content: EntryContent = { kind: 'answer', stepId: args.stepId, answer };
    await records.put('entries', newEntry(begun.value, content, context));
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
  if (step.question.type !== 'number' || step.question.pointId === null) return accepted;
  const point = await records.get('points', step.question.pointId);
  if (point === undefined) return accepted;
  const before = step.answer;
  const cleared = before === null ? point : withoutReading(point, before.at);
  const amends = before === null ? null : entryBeside(before.entryId, 'reading');
  const entry = {
    ...newEntry(work, { kind: 'withdrawal', reason: '' }, context),
    id: entryBeside(context.entryId, 'reading'),
  };
  if (answer?.type !== 'number') {
    if (before === null) return accepted;
    await records.put('points', cleared);
    await records.put('entries', { ...entry, assetId: point.assetId, amends });
    return accepted;
  }
  const checked = checkReading(cleared, answer.value, context);
  if (!checked.ok) return refuse(checked.code, checked.values, 'answer.value');
  const content = readingContent(point, answer.value);
  await records.put('points', withReading(cleared, answer.value, context));
  await records.put('entries', { ...entry, assetId: point.assetId, amends, content });
  return accepted;
}

/** The step, if it belongs to the work order. */
async function findStep(records: Records, id: StepId, workOrderId: WorkOrderId): Promise<Found<Step>> {
  const step = await records.get('steps', id);
  if (step === undefined || step.workOrderId !== workOrderId) return refuse('not_found', { what: 'step' }, 'stepId');
  return { ok: true, value: step };
}

export const stepsOperations = { 'step.answer': answerStep };
