import type { Operation } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { StagedRecords, TableName } from '@oilcan/core/records';
import { rowsReadBy } from '@oilcan/core/registry/operations';
import { SETTINGS_ID } from '@oilcan/core/orders/settings';
import type { SqlRecords } from '../database/sql-records';

/**
 * Reads with one statement a table what the operations of a batch say that they are going to ask for one by one.
 * Only speed depends on it: what is missing here is read when it is asked for.
 */
export async function primeForOperations(
  batch: StagedRecords,
  records: SqlRecords,
  operations: readonly Operation[],
  person: Person,
): Promise<void> {
  const wanted = new Map<TableName, Set<string>>();
  const want = (table: TableName, id: string): void => {
    wanted.set(table, (wanted.get(table) ?? new Set()).add(id));
  };
  want('settings', SETTINGS_ID);
  for (const { name, args } of operations)
    for (const { table, id } of rowsReadBy({ name, args, by: person.id })) want(table, id);
  for (const [table, ids] of wanted) {
    const list = [...ids];
    batch.prime(table, list, await records.getMany(table, list));
  }
}
