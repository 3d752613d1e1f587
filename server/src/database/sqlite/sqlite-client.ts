import type { Knex } from 'knex';
import BetterSqlite from 'knex/lib/dialects/better-sqlite3/index.js';
import SqliteTransaction from 'knex/lib/dialects/sqlite3/execution/sqlite-transaction.js';
import type { DirectClient, Value } from '../statements';

/**
 * A transaction that takes the right to write when it begins, so that it waits for another writer before it has read
 * anything, and never finds out in its middle that it cannot write. One that only reads says `readOnly`, and waits for
 * nobody.
 */
class ImmediateTransaction extends SqliteTransaction {
  override begin(connection: unknown): Promise<unknown> {
    return this.query(connection, this.readOnly === true ? 'BEGIN;' : 'BEGIN IMMEDIATE;');
  }
}

/** What better-sqlite3 gives for a connection. */
interface Handle {
  prepare(sql: string): {
    readonly reader: boolean;
    all(...values: Value[]): unknown[];
    run(...values: Value[]): unknown;
  };
}

/** Knex's own client for SQLite, with such transactions, and a way past the building of queries. */
export class SqliteClient extends BetterSqlite implements DirectClient {
  runDirectly(connection: unknown, sql: string, values: readonly Value[]): readonly unknown[] {
    const statement = (connection as Handle).prepare(sql);
    if (statement.reader) return statement.all(...values);
    statement.run(...values);
    return [];
  }

  /** Of a text of our own the rows alone: of one that writes there are none. Throws for what is no answer of better-sqlite3. */
  override processResponse(asked: { method?: string; response: unknown }, runner: unknown): unknown {
    if (asked.method !== 'raw') return super.processResponse(asked, runner);
    const { response } = asked;
    if (Array.isArray(response)) return response;
    if (typeof response === 'object' && response !== null && 'changes' in response) return [];
    throw new Error('SQLite gave an answer that is not understood.');
  }

  override transaction(container: unknown, config: unknown, outer: unknown): Knex.Transaction {
    return new ImmediateTransaction(this, container, config, outer) as unknown as Knex.Transaction;
  }
}
