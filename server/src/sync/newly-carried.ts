import type { Change } from '@oilcan/core/records';
import { tablesOfWork } from '@oilcan/core/registry';
import { assigneesOf, endOf, type WorkOrder } from '@oilcan/core/work';
import type { SqlRecords } from '../database/sql-records';

/**
 * Work that was handed back long after it was finished has left the phones, and work that was given to somebody else
 * was never on theirs. Its rows are written once more with new revisions, so that they come to the phones together with
 * the work order.
 */
export async function rowsOfNewlyCarried(records: SqlRecords, changes: readonly Change[]): Promise<Change[]> {
  const written = new Set(changes.map((change) => `${change.table}/${change.id}`));
  const again: Change[] = [];
  for (const change of changes) {
    if (change.table !== 'workOrders' || change.row === null) continue;
    const before = await records.get('workOrders', change.id);
    if (before === undefined || !isNewlyCarried(before, change.row)) continue;
    for (const table of tablesOfWork) {
      for (const row of await records.list(table, 'workOrder', change.id)) {
        if (!written.has(`${table}/${row.id}`)) again.push({ table, id: row.id, row } as Change);
      }
    }
  }
  return again;
}

function isNewlyCarried(before: WorkOrder, after: WorkOrder): boolean {
  const isReopened = endOf(before) !== null && endOf(after) === null;
  const had = new Set(assigneesOf(before));
  return isReopened || assigneesOf(after).some((id) => !had.has(id));
}
