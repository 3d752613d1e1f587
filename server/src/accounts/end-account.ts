import type { PersonId } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import type { Knex } from 'knex';
import { withdrawLink } from '../calendar/links';

/** Every session and every calendar link of a person ends; gives the sessions. */
export async function endAllSessions(database: Knex, person: PersonId): Promise<Set<string>> {
  const ended: string[] = await database('sessions').where('person', person).pluck('id');
  await database('sessions').where('person', person).delete();
  await withdrawLink(database, person);
  return new Set(ended);
}

/** They cannot sign in any more, and are signed out everywhere. */
export async function endAccount(database: Knex, person: PersonId): Promise<Set<string>> {
  await database('accounts').where('person', person).delete();
  return endAllSessions(database, person);
}

/** Ends the accounts of those who left by these changes, in the same transaction; gives the sessions that ended. */
export async function endAccountsOfLeavers(
  transaction: Knex,
  changes: readonly Change[],
): Promise<ReadonlySet<string>> {
  const ended = new Set<string>();
  for (const change of changes)
    if (change.table === 'people' && change.row?.leftAt !== undefined)
      for (const session of await endAccount(transaction, change.row.id)) ended.add(session);
  return ended;
}
