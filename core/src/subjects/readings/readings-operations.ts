import type { AssetId, PointId, WorkOrderId } from '../../kernel/ids';
import { argsSchema, idField, numberField } from '../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../operations/operation';
import type { Records } from '../../records/records';
import { beginWork, readsToBegin } from '../hazards/begin-work';
import { newEntry } from '../work/guards';
import { checkReading, readingContent, withReading } from './reading';

/** A value read at a measuring point of the work order's asset or of anything it is made of. */
const addReading = defineOperation({
  label: 'this reading',
  roles: ['technician', 'lead'],
  schema: argsSchema({ workOrderId: idField<WorkOrderId>(), pointId: idField<PointId>(), value: numberField() }),
  file: null,
  numbered: null,
  reads: ({ workOrderId, pointId }, by) => [...readsToBegin(workOrderId, by), rowNamed('points', pointId)],
  mend: { fields: { value: 'number' }, keepsTime: true },
  upgrades: [],
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

export const readingsOperations = { 'reading.add': addReading };
