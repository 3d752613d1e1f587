import { leadsOf } from '@oilcan/core/people';
import type { Change } from '@oilcan/core/records';
import type { Knex } from 'knex';
import type { SqlRecords } from '../db/sql-records';
import { allOf } from '../notices/notices-of-push';
import { readersOf } from '../reports/incident-readers';

/** After people changed: whoever became a lead reads the incidents and reviews that were there before, and whoever ceased does not. */
export async function letLeadsRead(transaction: Knex.Transaction, records: SqlRecords): Promise<void> {
  const people = await allOf(transaction, 'people');
  const changes: Change[] = [];
  for (const row of await allOf(transaction, 'incidents')) {
    const readerIds = readersOf(row, people);
    if (!areSame(readerIds, row.readerIds))
      changes.push({ table: 'incidents', id: row.id, row: { ...row, readerIds } });
  }
  for (const row of await allOf(transaction, 'reviews')) {
    const readerIds = leadsOf(people, row.siteId);
    if (!areSame(readerIds, row.readerIds)) changes.push({ table: 'reviews', id: row.id, row: { ...row, readerIds } });
  }
  await records.write(changes);
}

const areSame = (some: readonly string[], others: readonly string[]): boolean =>
  some.length === others.length && some.every((id) => others.includes(id));
