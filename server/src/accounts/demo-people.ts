import type { Person } from '@oilcan/core/plant/people';
import type { Knex } from 'knex';
import { readRow, type StoredRow } from '../database/sql-records';

export type DemoPerson = Pick<Person, 'id' | 'name' | 'roles' | 'tradeId'>;

/** Whom one can be on a demo server, and with which password. */
export interface DemoPeople {
  readonly password: string;
  readonly people: readonly DemoPerson[];
}

/** Everybody of a demo; null on a server that shows none. */
export async function demoPeople(database: Knex, password: string | null): Promise<DemoPeople | null> {
  if (password === null) return null;
  const stored: StoredRow[] = await database<StoredRow>('people').orderBy('revision').select('body');
  const people = stored.map((each) => readRow('people', each));
  return { password, people: people.map(({ id, name, roles, tradeId }) => ({ id, name, roles, tradeId })) };
}
