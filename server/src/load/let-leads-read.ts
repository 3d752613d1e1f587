import { leadsOf } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import type { Knex } from 'knex';
import type { SqlRecords } from '../database/sql-records';
import { directoryOf } from '../directory/directory';
import { allOf } from '../notices/notices-of-push';
import { readersOf } from '../reports/incident-readers';

/** After people changed: whoever became a lead reads the incidents and reviews that were there before, and whoever ceased does not. */
export async function letLeadsRead(transaction: Knex.Transaction, records: SqlRecords): Promise<void> {
  const { people } = await directoryOf(transaction);
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
  changes.push(...(await noticesOfNoReaders(transaction, records, changes)));
  await records.write(changes);
}

/** Notices that have an incident’s words go from those who may not read it any more. */
async function noticesOfNoReaders(
  transaction: Knex.Transaction,
  records: SqlRecords,
  changes: readonly Change[],
): Promise<Change[]> {
  const gone: Change[] = [];
  for (const change of changes) {
    if (change.table !== 'incidents' || change.row === null) continue;
    const before = await records.get('incidents', change.id);
    const { readerIds } = change.row;
    for (const person of before?.readerIds.filter((id) => !readerIds.includes(id)) ?? [])
      for (const id of await transaction('notices').where('person', person).pluck<string[]>('id'))
        if ((await records.get('notices', id))?.incidentId === change.id)
          gone.push({ table: 'notices', id, row: null });
  }
  return gone;
}

const areSame = (some: readonly string[], others: readonly string[]): boolean =>
  some.length === others.length && some.every((id) => others.includes(id));
