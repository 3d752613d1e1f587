import { hasRole } from '@oilcan/core/operations';
import type { Change } from '@oilcan/core/records';
import type { Knex } from 'knex';
import { allOf } from '../notices/notices-of-push';

/** Leads of the site read its incidents too, beside those who reported them or were there. */
export async function withLeadsReading(transaction: Knex.Transaction, changes: readonly Change[]): Promise<Change[]> {
  if (!changes.some(({ table, row }) => table === 'incidents' && row !== null)) return [...changes];
  const people = await allOf(transaction, 'people');
  return changes.map((change) => {
    if (change.table !== 'incidents' || change.row === null) return change;
    const incident = change.row;
    const leads = people.filter((person) => hasRole(person, ['lead']) && person.siteIds.includes(incident.siteId));
    const readerIds = [...new Set([...incident.readerIds, ...leads.map(({ id }) => id)])];
    return { ...change, row: { ...incident, readerIds } };
  });
}
