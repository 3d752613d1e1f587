import type { Change, Row, StagedRecords, TableName } from '@oilcan/core/records';
import { tableNamed } from '@oilcan/core/registry';
import type { LoggedRow } from '@oilcan/core/sync';
import { dequal } from 'dequal';

/** Longer values are cut: somebody reads them. */
const LONGEST_VALUE = 600;

/** Rows that are only ever added, under ids of their own: what they hold stands in the arguments. */
const onlyAdded: ReadonlySet<TableName> = new Set(['entries', 'movements']);

/** What changes did to the rows as they were before, field by field. */
export async function changedRows(before: StagedRecords, changes: readonly Change[]): Promise<LoggedRow[]> {
  const rows: LoggedRow[] = [];
  for (const { table, id, row } of changes) {
    const was = onlyAdded.has(table) ? before.known(table, id) : await before.get(table, id);
    if (row === null) rows.push({ table, id, did: 'removed', fields: fieldsOf(was, undefined) });
    else if (was === undefined) rows.push({ table, id, did: 'made', fields: {} });
    else rows.push({ table, id, did: 'changed', fields: fieldsOf(was, row) });
  }
  return rows;
}

function fieldsOf(was: Row | undefined, is: Row | undefined): LoggedRow['fields'] {
  const [before, after] = [was, is].map((row) => (row ?? {}) as Readonly<Record<string, unknown>>);
  const names = new Set([...Object.keys(before ?? {}), ...Object.keys(after ?? {})]);
  names.delete('id');
  return Object.fromEntries(
    [...names].flatMap((name) => {
      const [b, a] = [before?.[name] ?? null, after?.[name] ?? null];
      return dequal(b, a) ? [] : [[name, { before: cut(b), after: cut(a) }] as const];
    }),
  );
}

function cut(value: unknown): unknown {
  const text = JSON.stringify(value);
  return text.length <= LONGEST_VALUE ? value : `${text.slice(0, LONGEST_VALUE)} …`;
}

/** What an operation is about, as `table:id`: the rows that it changed, and the work and the machine that they belong to. */
export function thingsOf(changes: readonly Change[], before: StagedRecords): string[] {
  const things = new Set<string>();
  for (const { table, id, row } of changes) {
    const { workOrderId, assetId } = { ...before.known(table, id), ...row } as {
      readonly workOrderId?: string | null;
      readonly assetId?: string | null;
    };
    if (!('workOrder' in tableNamed(table).indexes)) things.add(`${table}:${id}`);
    if (workOrderId != null) things.add(`workOrders:${workOrderId}`);
    if (assetId != null) things.add(`assets:${assetId}`);
  }
  return [...things];
}

/** The site on which changes were made; null where none of them has one. */
export function siteOf(changes: readonly Change[]): string | null {
  for (const { row } of changes)
    if (row !== null && 'siteId' in row && typeof row.siteId === 'string') return row.siteId;
  return null;
}
