import type { Change } from '../records/records';
import { anyEntryKind } from '../subjects/orders/work/entry-kinds';
import { entryKinds } from './entries';
import { isTableName, tableNamed } from './tables';

export const REPORTS_SINCE = 14;

/** Whether whoever speaks this version of the protocol knows such a row: its table, and what kind of entry it is. */
export function isKnownAt(change: Change, version: number): boolean {
  if (!isTableName(change.table) || tableNamed(change.table).since > version) return false;
  // A notice was always of a work order before there were reports.
  if (change.table === 'notices' && change.row !== null)
    return change.row.workOrderId !== null || version >= REPORTS_SINCE;
  if (change.table !== 'entries' || change.row === null) return true;
  const kind = anyEntryKind(entryKinds, change.row.content.kind);
  return kind !== undefined && kind.since <= version;
}
