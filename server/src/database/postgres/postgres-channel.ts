import type { Knex } from 'knex';
import { Client } from 'pg';
import type { Channel } from '../channel';

const NAME = 'oilcan';
const AGAIN_MILLISECONDS = 1_000;

/** LISTEN and NOTIFY (www.postgresql.org/docs/15/sql-notify.html), on a line of its own that is opened again when it breaks. */
export function postgresChannel(connection: Knex, connectionString: string): Channel {
  return {
    say: async (text) => {
      await connection.raw('SELECT pg_notify(?, ?)', [NAME, text]);
    },
    listen: (heard) => {
      let isOver = false;
      let line: Client | undefined;
      let again: NodeJS.Timeout | undefined;
      const begin = async (): Promise<void> => {
        const opened = new Client({ connectionString, application_name: 'oilcan news' });
        line = opened;
        const lost = (): void => {
          if (isOver || line !== opened) return;
          line = undefined;
          again = setTimeout(() => void begin(), AGAIN_MILLISECONDS).unref();
        };
        opened.on('error', lost);
        opened.on('end', lost);
        opened.on('notification', ({ payload }) => heard(payload ?? ''));
        try {
          await opened.connect();
          await opened.query(`LISTEN ${NAME}`);
        } catch {
          lost();
        }
      };
      void begin();
      return async () => {
        isOver = true;
        clearTimeout(again);
        await line?.end().catch(() => undefined);
      };
    },
  };
}
