import type { PersonId } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Change } from '@oilcan/core/records';
import { PROTOCOL } from '@oilcan/core/sync';
import { ann } from '@oilcan/core/testing';
import { buildServer, defaultConfig, openDatabase, SqlRecords } from '@oilcan/server';
import { putAccount } from '../server/src/accounts/accounts';
import { openSession, SESSION_COOKIE } from '../server/src/accounts/sessions';

/** The real server on a new database file, with Ann signed in. `sessionOf` signs in others without a password. */
export async function startServer(file: string, rows: readonly Change[], webRoot: string | null = null) {
  const database = await openDatabase(file, Date.now);
  await database.transaction((transaction) => new SqlRecords(transaction).write(rows));
  await putAccount(database, ann.id, 'Ann', 'x');
  const server = await buildServer(
    database,
    {
      ...defaultConfig,
      webRoot,
      filesRoot: `${file}-files`,
      logLevel: 'silent',
      requestsPerMinute: 1e9,
      // Everybody comes from one address here.
      guestPostsPerAddress: 1e9,
      guestPostsPerLabel: 1e9,
    },
    Date.now,
  );
  const address = await server.listen({ port: 0, host: '127.0.0.1' });
  const signIn = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Ann', password: 'x' }),
  });
  const cookie = signIn.headers.get('set-cookie')?.split(';')[0] ?? '';
  return {
    address,
    cookie,
    sessionOf: async (person: PersonId): Promise<string> =>
      `${SESSION_COOKIE}=${await openSession(database, person, 'bench', Date.now())}`,
    countOf: async (table: string): Promise<number> =>
      Number((await database(table).count({ count: '*' }).first())?.['count'] ?? 0),
    close: async (): Promise<void> => {
      await server.close();
      await database.destroy();
    },
  };
}

export function pushBody(operations: readonly Operation[]): string {
  return JSON.stringify({ protocol: PROTOCOL.newest, operations });
}
