// The two classes of Knex that are extended here and that it has no types for.
declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import { Knex } from 'knex';
  export default class BetterSqlite extends Knex.Client {
    transaction(container: unknown, config: unknown, outer: unknown): Knex.Transaction;
    processResponse(asked: { method?: string; response: unknown }, runner: unknown): unknown;
  }
}

declare module 'knex/lib/dialects/sqlite3/execution/sqlite-transaction.js' {
  export default class SqliteTransaction {
    constructor(client: unknown, container: unknown, config: unknown, outer: unknown);
    readonly readOnly: boolean | undefined;
    query(connection: unknown, sql: string): Promise<unknown>;
    begin(connection: unknown): Promise<unknown>;
  }
}
