import {
  foundWork,
  findableWork,
  Finder,
  wantedWords,
  type Findable,
  type FoundWork,
} from '@oilcan/core/overview/find';
import type { Person } from '@oilcan/core/plant/people';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { textsOf } from '../database/dialects';
import { readRow, type StoredRow } from '../database/sql-records';
import { namesFor } from './note-texts';

/** So many answer. */
const MOST_FOUND = 30;
/** Of so many that have the words the likeliest are chosen, as the phone chooses them. */
const MOST_WEIGHED = 150;

/** Work orders of the person's sites that have every word that was typed, the likeliest first. */
export async function findWork(database: Knex, person: Person, typed: string): Promise<FoundWork[]> {
  const wanted = { words: wantedWords(typed), sites: person.siteIds, most: MOST_WEIGHED };
  const ids = await textsOf(database).find(database, wanted);
  if (ids.length === 0) return [];
  const stored: StoredRow[] = await database('work_orders').whereIn('id', ids).select('body');
  const works = stored.map((row) => readRow('workOrders', row));
  const names = await namesFor(database, works);
  const finder = new Finder<Findable & { readonly work: WorkOrder }>();
  finder.put(works.map((work) => ({ ...findableWork(work, names), work })));
  return finder.find(typed, MOST_FOUND, ({ work }) => Number(isOpen(work.state))).map(({ work }) => foundWork(work));
}
