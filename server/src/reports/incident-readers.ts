import type { Incident } from '@oilcan/core/raising/incidents';
import { leadsOf, type Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import type { Knex } from 'knex';
import { directoryOf } from '../directory/directory';

/** Leads of the site read its incidents too, beside those who reported them or were there. */
export async function withLeadsReading(transaction: Knex.Transaction, changes: readonly Change[]): Promise<Change[]> {
  if (!changes.some(({ table, row }) => table === 'incidents' && row !== null)) return [...changes];
  const { people } = await directoryOf(transaction);
  return changes.map((change) =>
    change.table !== 'incidents' || change.row === null
      ? change
      : { ...change, row: { ...change.row, readerIds: readersOf(change.row, people) } },
  );
}

/** Whoever reported an incident, was there, or leads its site now. */
export function readersOf({ by, presentIds, siteId }: Incident, people: readonly Person[]): Incident['readerIds'] {
  return [...new Set([by, ...presentIds, ...leadsOf(people, siteId)])];
}
