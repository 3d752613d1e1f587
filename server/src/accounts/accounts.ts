import type { PersonId } from '@oilcan/core/kernel';
import type { Knex } from 'knex';
import { hashPassword } from './passwords';

export interface Account {
  readonly person: PersonId;
  readonly sign_in_name: string;
  readonly password_hash: string;
}

/** Names are compared without regard to case, accents' spelling and outer blanks. */
export function foldName(name: string): string {
  return name.normalize('NFKC').trim().toLowerCase().replace(/\s+/g, ' ');
}

export function findAccount(database: Knex, name: string): Promise<Account | undefined> {
  return database<Account>('accounts').where('sign_in_name', foldName(name)).first();
}

/** Gives a person a name and password to sign in with, in place of any earlier ones. */
export async function putAccount(database: Knex, person: PersonId, name: string, password: string): Promise<void> {
  const account = { person, sign_in_name: foldName(name), password_hash: await hashPassword(password) };
  await database('accounts').insert(account).onConflict('person').merge();
}

/** The hash of a person's password; undefined for somebody who has none. */
export async function passwordOf(database: Knex, person: PersonId): Promise<string | undefined> {
  const account: Account | undefined = await database<Account>('accounts').where('person', person).first();
  return account?.password_hash;
}

export async function putPassword(database: Knex, person: PersonId, password: string): Promise<void> {
  await database('accounts')
    .where('person', person)
    .update({ password_hash: await hashPassword(password) });
}
