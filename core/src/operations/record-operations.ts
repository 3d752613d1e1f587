import * as yup from 'yup';
import {
  asId,
  type AssetId,
  type BinId,
  type EntryId,
  type PartId,
  type PointId,
  type StepId,
  type WorkOrderId,
} from '../ids/ids';
import { LATEST_VALUES_KEPT, type MeasuringPoint } from '../plant/plant';
import { formatQuantity, type Thousandths } from '../quantity/quantity';
import { levelOf } from '../readings/limits';
import type { Records } from '../records/records';
import { stockLevelId, type MovementReason } from '../stock/stock';
import { partCost } from '../work/cost';
import type { Instant } from '../time/instant';
import type { EntryContent, PartContent, ReadingContent } from '../work/entries';
import { outcomes, type Step, type StepAnswer } from '../work/steps';
import type { WorkOrder } from '../work/work-order';
import { argsSchema, choiceField, idField, LONGEST_TEXT, numberField, textField, wholeField } from './fields';
import { beginWork, findOpenWork, findStep, newEntry } from './guards';
import { accepted, defineOperation, refuse, type OperationContext, type Outcome, type Refusal } from './operation';

const onWork = { workOrderId: idField<WorkOrderId>() };

/** Beyond this no instrument reads; it also keeps sums of readings exact enough. */
const LARGEST_READING = 1e12;

const answerSchemas = {
  tick: argsSchema({ type: choiceField(['tick']) }),
  verdict: argsSchema({ type: choiceField(['verdict']), outcome: choiceField(outcomes) }),
  number: argsSchema({ type: choiceField(['number']), value: numberField() }),
};
const noAnswer = yup.mixed().nullable().defined();
const answerKind = (type: string, properties: object) => ({
  type: 'object',
  properties: { type: { const: type }, ...properties },
  required: ['type', ...Object.keys(properties)],
  additionalProperties: false,
});
const someAnswer = argsSchema({ type: choiceField(['tick', 'verdict', 'number']) }).meta({
  jsonSchema: {
    oneOf: [
      { type: 'null' },
      answerKind('tick', {}),
      answerKind('verdict', { outcome: { enum: [...outcomes] } }),
      answerKind('number', { value: { type: 'number' } }),
    ],
  },
});

const answerField = yup.lazy((given: { type?: unknown } | null | undefined) => {
  if (given === null) return noAnswer;
  const type = given?.type;
  return type === 'tick' || type === 'verdict' || type === 'number' ? answerSchemas[type] : someAnswer;
}) as unknown as yup.Schema<StepAnswer | null>;

/** Answers a step, changes the answer, or takes it back with `null`. */
export const answerStep = defineOperation({
  label: 'this step',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    stepId: idField<StepId>(),
    answer: answerField,
  }),
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
  const amends = before === null ? null : readingEntryId(before.entryId);
  const entry = { ...newEntry(work, { kind: 'withdrawal', reason: '' }, context), id: readingEntryId(context.entryId) };
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

function readingEntryId(entryId: EntryId): EntryId {
  return asId<EntryId>(`${entryId}-reading`);
}

function readingContent(point: MeasuringPoint, value: number): ReadingContent {
  return { kind: 'reading', pointId: point.id, value, level: levelOf(value, point.limits) };
}

/** A part was used: the stock of its bin goes down by as much. */
export const usePart = defineOperation({
  label: 'this part',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    partId: idField<PartId>(),
    binId: idField<BinId>(),
    quantity: wholeField(),
  }),
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, context);
    if (!begun.ok) return begun;
    const content = await partContent(records, args, context);
    if (!content.ok) return content;
    await records.put('entries', newEntry(begun.value, content.value, context));
    await moveStock(records, begun.value, args, -args.quantity, 'use', context);
    return accepted;
  },
});

/**
 * Checks an amount against the bin and works out what it costs.
 *
 * @param before the entry that this one amends: what it had taken of the bin's stock, and at what price
 */
export async function partContent(
  records: Records,
  input: { readonly partId: PartId; readonly binId: BinId; readonly quantity: Thousandths },
  context: OperationContext,
  before?: Pick<PartContent, 'quantity' | 'unitPrice'>,
): Promise<{ readonly ok: true; readonly value: PartContent } | Refusal> {
  if (input.quantity <= 0) return refuse('quantity_not_positive', {}, 'quantity');
  const part = await records.get('parts', input.partId);
  if (part === undefined) return refuse('not_found', { what: 'part' }, 'partId');
  if (part.isWhole && input.quantity % 1000 !== 0) {
    return refuse('quantity_not_whole', { unit: part.unit }, 'quantity');
  }
  const bin = await records.get('bins', input.binId);
  const level = await records.get('stock', stockLevelId(input.partId, input.binId));
  if (bin === undefined || level === undefined || !context.person.siteIds.includes(bin.siteId)) {
    return refuse('not_found', { what: 'part in this bin' }, 'binId');
  }
  const available = level.onHand + (before?.quantity ?? 0);
  if (input.quantity > available) {
    const values = { onHand: formatQuantity(available), unit: part.unit, bin: bin.label };
    return refuse('not_enough_stock', values, 'quantity');
  }
  const unitPrice = before?.unitPrice ?? { minor: part.priceMinor, currency: context.settings.currency };
  const { partId, binId, quantity } = input;
  const cost = partCost(quantity, unitPrice);
  return { ok: true, value: { kind: 'part', partId, binId, quantity, unitPrice, cost } };
}

/** Adds a movement and carries it into the level of the bin. */
export async function moveStock(
  records: Records,
  work: WorkOrder,
  where: { readonly partId: PartId; readonly binId: BinId },
  change: Thousandths,
  reason: MovementReason,
  context: OperationContext,
): Promise<void> {
  const level = await records.get('stock', stockLevelId(where.partId, where.binId));
  if (level === undefined || change === 0) return;
  await records.put('stock', { ...level, onHand: level.onHand + change });
  await records.put('movements', {
    id: `${context.operationId}:${where.binId}`,
    partId: where.partId,
    binId: where.binId,
    change,
    reason,
    at: context.at,
    workOrderId: work.id,
    entryId: context.entryId,
  });
}

/** A value read at a measuring point of the work order's asset or of anything it is made of. */
export const addReading = defineOperation({
  label: 'this reading',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, pointId: idField<PointId>(), value: numberField() }),
  apply: async (records, args, context) => {
    const begun = await beginWork(records, args.workOrderId, context);
    if (!begun.ok) return begun;
    const point = await records.get('points', args.pointId);
    if (point === undefined || !context.person.siteIds.includes(point.siteId)) {
      return refuse('not_found', { what: 'measuring point' }, 'pointId');
    }
    if (!(await isPartOf(records, point.assetId, begun.value.assetId))) {
      return refuse('point_of_other_machine', { point: point.name }, 'pointId');
    }
    const checked = checkReading(point, args.value, context);
    if (!checked.ok) return checked;
    const entry = newEntry(begun.value, readingContent(point, args.value), context);
    await records.put('points', withReading(point, args.value, context));
    await records.put('entries', { ...entry, assetId: point.assetId });
    return accepted;
  },
});

/** Whether one asset is the other or belongs to it, however deep. */
async function isPartOf(records: Records, assetId: AssetId, wholeId: AssetId): Promise<boolean> {
  const seen = new Set<AssetId>();
  for (let id: AssetId | null = assetId; id !== null && !seen.has(id);) {
    if (id === wholeId) return true;
    seen.add(id);
    id = (await records.get('assets', id))?.parentId ?? null;
  }
  return false;
}

function checkReading(point: MeasuringPoint, value: number, context: OperationContext): Outcome {
  if (!Number.isFinite(value) || Math.abs(value) > LARGEST_READING) {
    return refuse('reading_out_of_range', {}, 'value');
  }
  const before = point.latest.filter((reading) => reading.at <= context.at).at(-1);
  if (point.isMeter && before !== undefined && value < before.value) {
    return refuse('meter_runs_back', { latest: before.value, unit: point.unit }, 'value');
  }
  // One that comes late may not be above what was read after it either.
  const after = point.latest.find((reading) => reading.at > context.at);
  if (point.isMeter && after !== undefined && value > after.value) {
    return refuse('meter_read_lower_since', { later: after.value, unit: point.unit }, 'value');
  }
  return accepted;
}

/** A reading was taken back: it is no longer among the newest values of its point. */
export async function forgetReading(records: Records, pointId: PointId, at: Instant): Promise<void> {
  const point = await records.get('points', pointId);
  if (point !== undefined) await records.put('points', withoutReading(point, at));
}

function withoutReading(point: MeasuringPoint, at: Instant): MeasuringPoint {
  return { ...point, latest: point.latest.filter((reading) => reading.at !== at) };
}

function withReading(point: MeasuringPoint, value: number, context: OperationContext): MeasuringPoint {
  const latest = [...point.latest, { at: context.at, value }].sort((a, b) => (a.at < b.at ? -1 : 1));
  return { ...point, latest: latest.slice(-LATEST_VALUES_KEPT) };
}

/** Words for whoever comes next. Taken at any time while the work order is open. */
export const addNote = defineOperation({
  label: 'this note',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({ ...onWork, text: textField(LONGEST_TEXT) }),
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    await records.put('entries', newEntry(found.value, { kind: 'note', text: args.text }, context));
    return accepted;
  },
});
