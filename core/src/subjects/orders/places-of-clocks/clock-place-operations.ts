import type { WorkOrderId } from '../../../kernel/ids';
import { argsSchema, flagField, idField, numberField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { findWorkOfSite } from '../work/guards';

const whoHasClocks = ['technician', 'lead'] as const;
const FARTHEST_OFF_METERS = 100_000;

/** The person agrees that it is noted where their clock starts, or does not any more: then what was noted goes. */
const agree = defineOperation({
  label: 'whether it is noted where your clock starts',
  inLog: 'private',
  governs: 'nothing',
  roles: whoHasClocks,
  schema: argsSchema({ isAgreed: flagField() }),
  reads: (_, by) => [rowNamed('placeAgreements', by)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { isAgreed }, context) => {
    const personId = context.person.id;
    await records.put('placeAgreements', { id: personId, personId, isAgreed, at: context.at });
    if (isAgreed) return accepted;
    for (const { id } of await records.list('clockPlaces', 'person', personId)) await records.remove('clockPlaces', id);
    return accepted;
  },
});

/** Where the clock was just started; only of somebody who agreed. */
const notePlace = defineOperation({
  label: 'where your clock started',
  inLog: 'private',
  governs: 'nothing',
  roles: whoHasClocks,
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    latitude: numberField().min(-90, 'Give degrees from -90 to 90.').max(90, 'Give degrees from -90 to 90.'),
    longitude: numberField().min(-180, 'Give degrees from -180 to 180.').max(180, 'Give degrees from -180 to 180.'),
    accuracyMeters: numberField().min(0).max(FARTHEST_OFF_METERS),
  }),
  reads: ({ workOrderId }, by) => [rowNamed('workOrders', workOrderId), rowNamed('placeAgreements', by)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { workOrderId, ...place }, context) => {
    const personId = context.person.id;
    if ((await records.get('placeAgreements', personId))?.isAgreed !== true) return refuse('place_not_agreed');
    const found = await findWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    const id: string = context.operationId;
    await records.put('clockPlaces', { id, personId, workOrderId, at: context.at, ...place });
    return accepted;
  },
});

export const clockPlaceOperations = { 'clock-place.agree': agree, 'clock-place.note': notePlace };
