import { findableWork, wordsOf, type NamesToFind } from '@oilcan/core/overview/find';
import type { Change, TableName, Tables } from '@oilcan/core/records';
import { SETTINGS_ID } from '@oilcan/core/orders/settings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import type { FoundText } from '../database/dialect';
import { textsOf } from '../database/dialects';
import { sqlName } from '../database/sql-names';
import { readRow, type StoredRow } from '../database/sql-records';

/** So many work orders are read at once. */
const AT_ONCE = 400;

/** Counted up when the texts are made otherwise: then all of them are made anew. */
const TEXTS_VERSION = 1;
const VERSION_COUNTER = 'texts_version';

/** Makes all texts anew where they are of another version than this program makes. */
export async function bringTextsUpToDate(database: Knex): Promise<void> {
  const made: { value: number | string } | undefined = await database('counters')
    .where('name', VERSION_COUNTER)
    .first();
  if (Number(made?.value ?? 0) === TEXTS_VERSION) return;
  await database.transaction(async (transaction) => {
    await textsOf(transaction).make(transaction);
    for (let last = ''; ;) {
      const stored: StoredRow[] = await transaction('work_orders').where('id', '>', last).orderBy('id').limit(AT_ONCE);
      const works = stored.map((row) => readRow('workOrders', row));
      if (works.length === 0) break;
      await noteTexts(transaction, works);
      last = works.at(-1)?.id ?? '';
    }
    await transaction('counters').insert({ name: VERSION_COUNTER, value: TEXTS_VERSION }).onConflict('name').merge();
  });
}

/** Notes by which words these work orders are found, as they are stored now. */
export async function noteTexts(transaction: Knex, works: readonly WorkOrder[]): Promise<void> {
  if (works.length === 0) return;
  await textsOf(transaction).put(transaction, await textsFor(transaction, works));
}

/** By which words these work orders are found. */
async function textsFor(database: Knex, works: readonly WorkOrder[]): Promise<FoundText[]> {
  const names = await namesFor(database, works);
  return works.map((work) => {
    const { number, name, where, words } = findableWork(work, names);
    return { id: work.id, site: work.siteId, text: wordsOf([number, name, where, words].join(' ')).join(' ') };
  });
}

/** The same of all work on machines that were renamed; of everything else a text says what it was called when the work last changed. */
export async function noteRenamed(transaction: Knex, changes: readonly Change[]): Promise<void> {
  const assets = changes.filter(({ table }) => table === 'assets').map(({ id }) => id);
  for (const asset of assets) {
    const ofMachine = (): Knex.QueryBuilder => transaction('work_orders').where('asset', asset).select('body');
    const one = (await ofMachine().first()) as StoredRow | undefined;
    if (one === undefined) continue;
    // Most changes of a machine are of its condition, which no text names.
    const first = readRow('workOrders', one);
    const [text] = await textsFor(transaction, [first]);
    if ((await textsOf(transaction).textOf(transaction, first.id)) === text?.text) continue;
    const works = ((await ofMachine()) as StoredRow[]).map((row) => readRow('workOrders', row));
    await noteTexts(transaction, works);
  }
}

const idsIn = (works: readonly WorkOrder[], of: (work: WorkOrder) => readonly string[]): string[] => works.flatMap(of);

/** What the rows are called that these work orders name. */
export async function namesFor(database: Knex, works: readonly WorkOrder[]): Promise<NamesToFind> {
  // One after another: a transaction has one line to its database.
  const settings = await rowsOf(database, 'settings', [SETTINGS_ID]);
  const assets = await rowsOf(
    database,
    'assets',
    idsIn(works, ({ assetId }) => [assetId]),
  );
  const placesThere = await rowsOf(
    database,
    'places',
    idsIn(works, ({ placeId }) => [placeId]),
  );
  const people = await rowsOf(
    database,
    'people',
    idsIn(works, ({ personIds }) => personIds),
  );
  const crews = await rowsOf(
    database,
    'crews',
    idsIn(works, ({ crewId }) => (crewId === null ? [] : [crewId])),
  );
  const parts = await rowsOf(
    database,
    'parts',
    idsIn(works, ({ kit }) => kit.map(({ partId }) => partId)),
  );
  const trades = settings.get(SETTINGS_ID)?.trades ?? [];
  return {
    asset: (id) => assets.get(id),
    place: (id) => placesThere.get(id),
    person: (id) => people.get(id),
    crew: (id) => crews.get(id),
    part: (id) => parts.get(id),
    trade: (tradeId) => trades.find(({ id }) => id === tradeId)?.name,
  };
}

async function rowsOf<T extends TableName>(
  database: Knex,
  table: T,
  ids: readonly string[],
): Promise<Map<string, Tables[T]>> {
  const wanted = [...new Set(ids)];
  const rows = new Map<string, Tables[T]>();
  for (let from = 0; from < wanted.length; from += AT_ONCE) {
    const stored: StoredRow[] = await database(sqlName(table))
      .whereIn('id', wanted.slice(from, from + AT_ONCE))
      .select('body');
    for (const each of stored) {
      const row = readRow(table, each);
      rows.set(row.id, row);
    }
  }
  return rows;
}
