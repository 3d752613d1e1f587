import {
  acknowledgementId,
  asId,
  SETTINGS_ID,
  stockLevelId,
  type Operation,
  type Person,
  type BinId,
  type PartId,
  type StagedRecords,
  type TableName,
  type WorkOrderId,
} from '@oilcan/core';
import type { SqlRecords } from '../db/sql-records';

/** Arguments that name a row, and the table it is in. */
const namedRows: Readonly<Record<string, TableName>> = {
  workOrderId: 'workOrders',
  stepId: 'steps',
  pointId: 'points',
  partId: 'parts',
  binId: 'bins',
  personId: 'people',
  entryId: 'entries',
};

/**
 * Reads with one statement a table what the operations of a batch are going to ask for one by one.
 * Only speed depends on it: what is missing here is read when it is asked for.
 */
export async function primeForOperations(
  batch: StagedRecords,
  records: SqlRecords,
  operations: readonly Operation[],
  person: Person,
): Promise<void> {
  const wanted = new Map<TableName, Set<string>>([
    ['settings', new Set([SETTINGS_ID])],
    ['clocks', new Set([person.id])],
    ['people', new Set([person.id])],
  ]);
  const want = (table: TableName, id: string): void => {
    wanted.set(table, (wanted.get(table) ?? new Set()).add(id));
  };
  for (const { args } of operations) {
    const named = stringsOf(args);
    for (const [field, table] of Object.entries(namedRows)) {
      const id = named[field];
      if (id !== undefined) want(table, id);
    }
    const { workOrderId, partId, binId } = named;
    if (workOrderId !== undefined) {
      want('acknowledgements', acknowledgementId(asId<WorkOrderId>(workOrderId), person.id));
    }
    if (partId !== undefined && binId !== undefined) {
      want('stock', stockLevelId(asId<PartId>(partId), asId<BinId>(binId)));
    }
  }
  for (const [table, ids] of wanted) {
    const list = [...ids];
    batch.prime(table, list, await records.getMany(table, list));
  }
}

function stringsOf(args: unknown): Readonly<Record<string, string | undefined>> {
  if (typeof args !== 'object' || args === null) return {};
  return Object.fromEntries(
    Object.entries(args).map(([key, value]: [string, unknown]) => [
      key,
      typeof value === 'string' ? value.slice(0, 64) : undefined,
    ]),
  );
}
