import type { StopId, WorkOrderId } from '../../../kernel/ids';
import { argsSchema, idField, LONGEST_LINE, textField } from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Refusal,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import type { StopContent } from './rounds-entries';
import { inWalkingOrder, type Stop } from './stop';

const onStop = { workOrderId: idField<WorkOrderId>(), stopId: idField<StopId>() };

/** A stop is walked to last. */
const putOffStop = defineOperation({
  label: 'putting off this stop',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(onStop),
  reads: ({ workOrderId, stopId }) => [rowNamed('workOrders', workOrderId), rowNamed('stops', stopId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findStop(records, args, context);
    if (!found.ok) return found;
    const last = inWalkingOrder(await records.list('stops', 'workOrder', args.workOrderId)).at(-1);
    if (last === undefined || last.id === args.stopId) return accepted;
    await records.put('stops', { ...found.stop, position: last.position + 1 });
    return noted(records, found, { act: 'putOff', reason: '' }, context);
  },
});

/** A stop is left out of this round, for a reason. Its steps are not owed then; what was answered there stays. */
const leaveOutStop = defineOperation({
  label: 'leaving out this stop',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onStop, reason: textField(LONGEST_LINE) }),
  reads: ({ workOrderId, stopId }) => [rowNamed('workOrders', workOrderId), rowNamed('stops', stopId)],
  correct: { fields: { reason: 'line' }, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findStop(records, args, context);
    if (!found.ok) return found;
    const { reason } = args;
    await records.put('stops', { ...found.stop, leftOut: { reason, by: context.person.id, at: context.at } });
    return noted(records, found, { act: 'leftOut', reason }, context);
  },
});

/** A stop that was left out is walked to after all. */
const takeUpStop = defineOperation({
  label: 'taking up this stop',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(onStop),
  reads: ({ workOrderId, stopId }) => [rowNamed('workOrders', workOrderId), rowNamed('stops', stopId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findStop(records, args, context);
    if (!found.ok) return found;
    if (found.stop.leftOut === null) return accepted;
    await records.put('stops', { ...found.stop, leftOut: null });
    return noted(records, found, { act: 'takenUp', reason: '' }, context);
  },
});

/**
 * The round is walked the other way, beginning with its last stop. Who names the stop that is first already, as somebody does who
 * turned it at the same time, changes nothing.
 */
const turnRound = defineOperation({
  label: 'turning the round',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ workOrderId: idField<WorkOrderId>(), firstStopId: idField<StopId>() }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { workOrderId, firstStopId }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const stops = inWalkingOrder(await records.list('stops', 'workOrder', workOrderId));
    if (stops[0]?.id === firstStopId) return accepted;
    if (stops.at(-1)?.id !== firstStopId) return refuse('stop_not_an_end', {}, 'firstStopId');
    for (const [index, stop] of stops.reverse().entries()) await records.put('stops', { ...stop, position: index + 1 });
    return accepted;
  },
});

interface FoundStop {
  readonly ok: true;
  readonly work: WorkOrder;
  readonly stop: Stop;
}

async function findStop(
  records: Records,
  { workOrderId, stopId }: { readonly workOrderId: WorkOrderId; readonly stopId: StopId },
  context: OperationContext,
): Promise<FoundStop | Refusal> {
  const found = await findOpenWork(records, workOrderId, context);
  if (!found.ok) return found;
  const stop = await records.get('stops', stopId);
  if (stop === undefined || stop.workOrderId !== workOrderId) return refuse('not_found', { what: 'stop' }, 'stopId');
  return { ok: true, work: found.value, stop };
}

async function noted(
  records: Records,
  { work, stop }: FoundStop,
  done: Pick<StopContent, 'act' | 'reason'>,
  context: OperationContext,
): Promise<typeof accepted> {
  const entry = newEntry(work, { kind: 'stop', stopId: stop.id, ...done }, context);
  await records.put('entries', { ...entry, assetId: stop.assetId });
  return accepted;
}

export const roundsOperations = {
  'stop.put-off': putOffStop,
  'stop.leave-out': leaveOutStop,
  'stop.take-up': takeUpStop,
  'round.turn': turnRound,
};
