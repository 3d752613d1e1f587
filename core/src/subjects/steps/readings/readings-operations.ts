import * as yup from 'yup';
import type { PointId, WorkOrderId } from '../../../kernel/ids';
import { convertReading } from '../../../kernel/quantity/measures';
import { argsSchema, idField, keyField, keyFieldIfAny, numberField } from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Outcome,
  type Refusal,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { beginWork, readsToBegin } from '../../orders/hazards/begin-work';
import type { MeasuringPoint } from '../../plant/plant/plant';
import { isOfJob } from '../../orders/work/machines-of-job';
import { newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import { figureOf, levelOfFigure } from './derived/derived-kinds';
import { checkReading, LARGEST_READING, readingContent, withReading, type ReadingContent } from './reading';

const MOST_RAW_VALUES = 10;
/** A value that was brought to the unit of its point has so many places more than that is read in. */
const DIGITS_MORE = 2;

/** A value read at a measuring point of the work order's asset or of anything it is made of. */
const addReading = defineOperation({
  label: 'this reading',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    pointId: idField<PointId>(),
    value: numberField(),
    /** The unit of the value, where it is another than the point's. */
    unit: keyFieldIfAny(),
  }),
  reads: ({ workOrderId, pointId }, by) => [...readsToBegin(workOrderId, by), rowNamed('points', pointId)],
  correct: { fields: { value: 'number' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findPoint(records, args, context);
    if (!found.ok) return found;
    const { point } = found;
    const unit = args.unit ?? point.unit;
    const value = convertReading(args.value, unit, point.unit, point.decimals + DIGITS_MORE);
    if (value === null) return refuse('unit_of_another_quantity', { unit: point.unit }, 'unit');
    const typed = unit === point.unit ? undefined : { value: args.value, unit };
    return keepReading(records, found, readingContent(point, value, typed), context);
  },
});

/** A meter was replaced: what the old one showed last, and the new one first. */
const replaceMeter = defineOperation({
  label: 'replacing this meter',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    pointId: idField<PointId>(),
    value: numberField(),
    newValue: numberField().min(0),
  }),
  reads: ({ workOrderId, pointId }, by) => [...readsToBegin(workOrderId, by), rowNamed('points', pointId)],
  correct: { fields: { value: 'number', newValue: 'number' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findPoint(records, args, context);
    if (!found.ok) return found;
    const { point } = found;
    if (!point.isMeter) return refuse('point_no_meter', { point: point.name }, 'pointId');
    if (args.newValue > LARGEST_READING) return refuse('reading_out_of_range', {}, 'newValue');
    const content = { ...readingContent(point, args.value), replacedAt: args.newValue };
    return keepReading(records, found, content, context);
  },
});

/** A value of a measuring point that is worked out of several, which are kept with it. */
const deriveReading = defineOperation({
  label: 'this reading',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    pointId: idField<PointId>(),
    raw: yup
      .array()
      .strict()
      .of(argsSchema({ key: keyField(), value: numberField() }))
      .required('Give what was read off.')
      .max(MOST_RAW_VALUES),
  }),
  reads: ({ workOrderId, pointId }, by) => [...readsToBegin(workOrderId, by), rowNamed('points', pointId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findPoint(records, args, context);
    if (!found.ok) return found;
    const { point } = found;
    if (point.derived === undefined) return refuse('point_not_derived', { point: point.name }, 'pointId');
    const figure = figureOf(point.derived, args.raw);
    if (figure === null) return refuse('figure_not_workable', {}, 'raw');
    const { value, said } = figure;
    const level = levelOfFigure(figure, point.limits);
    const content = { ...readingContent(point, value), level, figure: { raw: args.raw, said } };
    return keepReading(records, found, content, context);
  },
});

interface FoundPoint {
  readonly ok: true;
  readonly work: WorkOrder;
  readonly point: MeasuringPoint;
}

/** The measuring point, if it is on the machine of the work order, which begins by it. */
async function findPoint(
  records: Records,
  { workOrderId, pointId }: { readonly workOrderId: WorkOrderId; readonly pointId: PointId },
  context: OperationContext,
): Promise<FoundPoint | Refusal> {
  const begun = await beginWork(records, workOrderId, 'of others', context);
  if (!begun.ok) return begun;
  const point = await records.get('points', pointId);
  if (point === undefined || !context.person.siteIds.includes(point.siteId)) {
    return refuse('not_found', { what: 'measuring point' }, 'pointId');
  }
  if (!(await isOfJob(records, begun.value, point.assetId))) {
    return refuse('point_of_other_machine', { point: point.name }, 'pointId');
  }
  return { ok: true, work: begun.value, point };
}

async function keepReading(
  records: Records,
  { work, point }: FoundPoint,
  content: ReadingContent,
  context: OperationContext,
): Promise<Outcome> {
  const checked = checkReading(point, content.value, context);
  if (!checked.ok) return checked;
  const entry = newEntry(work, content, context);
  await records.put('points', withReading(point, content.value, context, content.replacedAt));
  await records.put('entries', { ...entry, assetId: point.assetId });
  return accepted;
}

export const readingsOperations = {
  'reading.add': addReading,
  'reading.derive': deriveReading,
  'meter.replace': replaceMeter,
};
