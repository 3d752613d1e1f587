import type { TableName } from '../records/table';
import { anyEntryKind } from '../subjects/orders/work/entry-kinds';
import { entryKinds } from './entries';
import { REPORTS_SINCE } from './known-at';
import { tableNamed, tableNames } from './tables';

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
