import type { Person } from '../people/people';
import { seesLaborCost, type Settings } from '../settings/settings';
import { indexesOf, keyOfList, type Row, type TableName, type Tables } from './tables';

/**
 * Who sees the rows of a table:
 *
 * - `nobody`: they do not leave the server,
 * - `own`: the person whose id is the row's key `person`,
 * - `given`: the people in its key `readers`,
 * - `site`: whoever has the site in its key `site`, or one of those in its key `sites`,
 * - `site, who sees costs`: of these, whoever may see what people's time costs,
 * - `everybody`: everybody who is signed in.
 */
export type SeenBy = 'nobody' | 'own' | 'given' | 'site' | 'site, who sees costs' | 'everybody';

/** Said of every table: one that is forgotten does not compile. */
export const seenBy: Readonly<Record<TableName, SeenBy>> = {
  settings: 'everybody',
  rates: 'site, who sees costs',
  sites: 'site',
  people: 'site',
  crews: 'site',
  places: 'site',
  assets: 'site',
  points: 'site',
  // The catalogue of the whole organization, with prices: kits, other stores and successors name parts of any site.
  parts: 'everybody',
  stores: 'site',
  bins: 'site',
  stock: 'site',
  // What is behind a stock level is asked for when somebody looks; no route answers it yet.
  movements: 'nobody',
  workOrders: 'site',
  steps: 'site',
  entries: 'site',
  acknowledgements: 'site',
  permits: 'site',
  clocks: 'site',
  documents: 'site',
  installations: 'site',
  codes: 'site',
  contacts: 'site',
  kitLists: 'given',
  notices: 'own',
  follows: 'own',
  noticeChoices: 'own',
};

/** The columns by which rows of a table are shown or hidden, with what they hold: one id, or several (`keyOfList`). */
export type VisibilityKey =
  | { readonly column: 'site' | 'person'; readonly holds: 'one' }
  | { readonly column: 'sites' | 'readers'; readonly holds: 'several' };

/** The key of a table that says whose its rows are; null where its visibility does not depend on the row. */
export function visibilityKeyOf(table: TableName): VisibilityKey | null {
  const who = seenBy[table];
  switch (who) {
    case 'nobody':
    case 'everybody':
      return null;
    case 'own':
      return { column: 'person', holds: 'one' };
    case 'given':
      return { column: 'readers', holds: 'several' };
    case 'site':
    case 'site, who sees costs':
      return indexesOf(table).some(([index]) => index === 'sites')
        ? { column: 'sites', holds: 'several' }
        : { column: 'site', holds: 'one' };
  }
}

/** The ids in the row's visibility key: of people or of sites, as its table has it. */
export function audienceOf(table: TableName, row: Row): readonly string[] {
  const key = visibilityKeyOf(table);
  if (key === null) return [];
  const found = indexesOf(table).find(([index]) => index === key.column)?.[1](row) ?? null;
  if (found === null) return [];
  return key.holds === 'one' ? [found] : found.split('|').filter((id) => id !== '');
}

/** Whether a person may see any row of a table at all. */
export function mayLookInto(
  table: TableName,
  person: Pick<Person, 'roles'>,
  settings: Pick<Settings, 'laborCostSeenBy'>,
): boolean {
  if (seenBy[table] === 'nobody') return false;
  return seenBy[table] !== 'site, who sees costs' || seesLaborCost(person, settings);
}

/** Whether a person may see a row. */
export function isSeenBy(table: TableName, row: Row, person: Person, settings: Settings): boolean {
  if (!mayLookInto(table, person, settings)) return false;
  const key = visibilityKeyOf(table);
  if (key === null) return true;
  const mine: readonly string[] = key.column === 'site' || key.column === 'sites' ? person.siteIds : [person.id];
  return audienceOf(table, row).some((id) => mine.includes(id));
}

/** The row as a person may see it: without what people's time costs, for whoever may not see that. */
export function shownTo<T extends TableName>(table: T, row: Tables[T], seesCost: boolean): Tables[T] {
  if (seesCost || table !== 'entries') return row;
  const entry = row as Tables['entries'];
  if (entry.content.kind !== 'labor') return row;
  return { ...entry, content: { ...entry.content, rate: null, cost: null } } as Tables[T];
}

/** The pattern by which `like`, with `\\` to escape, finds one id among several in a column. */
export function amongSeveral(id: string): string {
  return `%${keyOfList([id]).replace(/[\\%_]/g, (character) => `\\${character}`)}%`;
}
