import type { PersonId, WorkOrderId } from '../../../kernel/ids';
import type { Records } from '../../../records/records';
import type { WorkOrder } from './work-order';

/** Whether the work was finished without this person's time, which can be given until a lead has accepted it. */
export function owesTime(work: Pick<WorkOrder, 'state' | 'timeOwedBy'> | undefined, personId: PersonId): boolean {
  return work?.state === 'finished' && work.timeOwedBy?.includes(personId) === true;
}

/** Their time on a finished work order is given, or that there was none. */
export async function settleTime(records: Records, id: WorkOrderId, personIds: readonly PersonId[]): Promise<void> {
  const work = await records.get('workOrders', id);
  if (work?.timeOwedBy === undefined) return;
  const { timeOwedBy, ...others } = work;
  const left = timeOwedBy.filter((personId) => !personIds.includes(personId));
  if (left.length < timeOwedBy.length)
    await records.put('workOrders', left.length === 0 ? others : { ...work, timeOwedBy: left });
}
