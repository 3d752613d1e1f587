import { idsInKey, type Row, type TableName, type Tables, type Viewer } from '../records/table';
import { tableNamed, tables } from './tables';

/** The columns by which rows of a table are shown or hidden, with what they hold: one id, or several (`keyOfList`). */
export type VisibilityKey =
  | { readonly column: 'site' | 'person'; readonly holds: 'one' }
  | { readonly column: 'sites' | 'readers'; readonly holds: 'several' };

/** The key of a table that says whose its rows are; null where its visibility does not depend on the row. */
export function visibilityKeyOf(table: TableName): VisibilityKey | null {
  const { seenBy, indexes } = tableNamed(table);
  switch (seenBy) {
    case 'nobody':
    case 'everybody':
      return null;
    case 'own':
      return { column: 'person', holds: 'one' };
    case 'given':
      return { column: 'readers', holds: 'several' };
    case 'site':
      return Object.hasOwn(indexes, 'sites') ? { column: 'sites', holds: 'several' } : { column: 'site', holds: 'one' };
  }
}

/** The ids in the row's visibility key: of people or of sites, as its table has it. */
export function audienceOf(table: TableName, row: Row): readonly string[] {
  const key = visibilityKeyOf(table);
  if (key === null) return [];
  const found = tableNamed(table).indexes[key.column]?.(row) ?? null;
  if (found === null) return [];
  return key.holds === 'one' ? [found] : idsInKey(found);
}

/** Whether a person may see any row of a table at all. */
export function mayLookInto(table: TableName, { mayKnow }: Pick<Viewer, 'mayKnow'>): boolean {
  const { seenBy, confidential } = tableNamed(table);
  return seenBy !== 'nobody' && (confidential === null || mayKnow.has(confidential));
}

/** Whether a person may see a row. Who has no site has nothing to do here, and sees none, not even their own. */
export function isSeenBy(table: TableName, row: Row, viewer: Viewer): boolean {
  if (viewer.siteIds.length === 0 || !mayLookInto(table, viewer)) return false;
  const key = visibilityKeyOf(table);
  if (key === null) return true;
  const mine: readonly string[] = key.column === 'site' || key.column === 'sites' ? viewer.siteIds : [viewer.id];
  return audienceOf(table, row).some((id) => mine.includes(id));
}

/** The row as a person may see it. */
export function shownTo<T extends TableName>(table: T, row: Tables[T], viewer: Viewer): Tables[T] {
  return tables[table].shown?.(row, viewer) ?? row;
}
