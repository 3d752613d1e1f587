// The two classes of Knex that are extended here and that it has no types for.
declare module 'knex/lib/dialects/postgres/index.js' {
  import { Knex } from 'knex';
  export default class PgClient extends Knex.Client {
    transaction(container: unknown, config: unknown, outer: unknown): Knex.Transaction;
    processResponse(asked: { method?: string; response: unknown }, runner: unknown): unknown;
  }
}

declare module 'knex/lib/dialects/postgres/execution/pg-transaction.js' {
  export default class PgTransaction {
    constructor(client: unknown, container: unknown, config: unknown, outer: unknown);
    readonly readOnly: boolean | undefined;
    query(connection: unknown, sql: string): Promise<unknown>;
    begin(connection: unknown): Promise<unknown>;
  }
}
