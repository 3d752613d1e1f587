import { endOf, type Change, type TableName } from '@oilcan/core';
import type { SqlRecords } from '../db/sql-records';

const ofWork: readonly Extract<TableName, 'steps' | 'entries' | 'acknowledgements'>[] = [
  'steps',
  'entries',
  'acknowledgements',
];

/**
 * Work that was handed back long after it was finished has left the phones. Its rows are written once more with new
 * revisions, so that they come to the phones together with the work order.
 */
export async function rowsOfReopened(records: SqlRecords, changes: readonly Change[]): Promise<Change[]> {
  const written = new Set(changes.map((change) => `${change.table}/${change.id}`));
  const again: Change[] = [];
  for (const change of changes) {
    if (change.table !== 'workOrders' || change.row === null || change.row.handedBack === null) continue;
    const before = await records.get('workOrders', change.id);
    if (before === undefined || endOf(before) === null) continue;
    for (const table of ofWork) {
      for (const row of await records.list(table, 'workOrder', change.id)) {
        if (!written.has(`${table}/${row.id}`)) again.push({ table, id: row.id, row } as Change);
      }
    }
  }
  return again;
}
