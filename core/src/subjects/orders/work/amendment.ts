import type { EntryId, WorkOrderId } from '../../../kernel/ids';
import { idField } from '../../../kernel/schema/fields';
import { hasRole } from '../../../operations/actor';
import {
  refuse,
  rowNamed,
  type Result,
  type OperationContext,
  type Refusal,
  type RowName,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Entry, EntryContent } from './entries';
import { findOpenWork, findOwnWork, newEntry } from './guards';
import type { WorkOrder } from './work-order';

/** The arguments that name an entry of a work order. */
export const onEntry = { workOrderId: idField<WorkOrderId>(), entryId: idField<EntryId>() };

/** The rows that amending reads. */
export function readsToAmend(workOrderId: string | undefined, entryId: string | undefined): (RowName | null)[] {
  return [rowNamed('workOrders', workOrderId), rowNamed('entries', entryId)];
}

/** An entry that may be amended, and its work order. */
export interface Amendable {
  readonly ok: true;
  readonly work: WorkOrder;
  readonly entry: Entry;
}

export async function findAmendable(
  records: Records,
  args: { readonly workOrderId: WorkOrderId; readonly entryId: EntryId },
  context: OperationContext,
): Promise<Amendable | Refusal> {
  const found = await findAmendableWork(records, args.workOrderId, context);
  if (!found.ok) return found;
  const entry = await records.get('entries', args.entryId);
  if (entry === undefined || entry.workOrderId !== args.workOrderId) {
    return refuse('not_found', { what: 'entry' }, 'entryId');
  }
  if (entry.by !== context.person.id && !hasRole(context.person, ['lead'])) {
    return refuse('entry_of_another', {}, 'entryId');
  }
  const amendments = await records.list('entries', 'amends', entry.id);
  if (amendments.length > 0) return refuse('entry_amended_already', {}, 'entryId');
  return { ok: true, work: found.value, entry };
}

/** Accepted work is locked: what a lead finds wrong in it afterwards is put right by an amendment beside it, and both stay readable. */
async function findAmendableWork(
  records: Records,
  id: WorkOrderId,
  context: OperationContext,
): Promise<Result<WorkOrder>> {
  const found = await findOwnWork(records, id, context);
  if (found.ok && found.value.state === 'accepted' && hasRole(context.person, ['lead'])) return found;
  return findOpenWork(records, id, context);
}

export async function putAmendment(
  records: Records,
  found: Amendable,
  content: EntryContent,
  context: OperationContext,
): Promise<void> {
  const entry = newEntry(found.work, content, context);
  await records.put('entries', { ...entry, assetId: found.entry.assetId, amends: found.entry.id });
}
