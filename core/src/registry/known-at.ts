import type { Change } from '../records/records';
import type { TableName } from '../records/table';
import { anyEntryKind } from '../subjects/work/entry-kinds';
import { entryKinds } from './entries';
import { isTableName, tableNamed, tableNames } from './tables';

const REPORTS_SINCE = 14;

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

/** Whether rows of a table may have to be fetched by whoever read at this version until now: it came later, or some kind of its rows did. */
export function isTableNewAfter(table: TableName, version: number): boolean {
  if (tableNamed(table).since > version) return true;
  if (table === 'notices') return version < REPORTS_SINCE;
  return table === 'entries' && Object.keys(entryKinds).some((kind) => sinceOfKind(kind) > version);
}

/** Whether anything came with later versions of the protocol than this. */
export function isAnyNewAfter(version: number): boolean {
  return tableNames.some((table) => isTableNewAfter(table, version));
}

const sinceOfKind = (kind: string): number => anyEntryKind(entryKinds, kind)?.since ?? 0;
