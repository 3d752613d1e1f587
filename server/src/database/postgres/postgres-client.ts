import type { Knex } from 'knex';
import PgClient from 'knex/lib/dialects/postgres/index.js';
import PgTransaction from 'knex/lib/dialects/postgres/execution/pg-transaction.js';
import type { DirectClient, Value } from '../statements';

/** The lock that whoever writes holds until the end of its transaction; a number of our own, as PostgreSQL names such locks. */
const WRITERS_LOCK = 4_870_001;

/**
 * One transaction writes at a time, over all servers, as in SQLite: each takes the right to write when it begins, and sees whatever those before it wrote.
 * So revisions become visible in the order in which they are given out, and nothing that was read in a transaction changes before its end. One that only
 * reads says `readOnly`, sees one state of the database from its first statement to its last, and waits for nobody.
 */
class OneWriterTransaction extends PgTransaction {
  override begin(connection: unknown): Promise<unknown> {
    return this.query(
      connection,
      this.readOnly === true
        ? 'BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY;'
        : `BEGIN; SELECT pg_advisory_xact_lock(${WRITERS_LOCK});`,
    );
  }
}

/** What `pg` gives for a connection, and what it answers. */
interface Connection {
  query(query: { name: string; text: string; values: readonly Value[] }): Promise<Answer>;
}

interface Answer {
  readonly rows?: unknown;
}

/** A text as PostgreSQL takes it, with the name under which a connection has prepared it. */
interface Prepared {
  readonly name: string;
  readonly text: string;
}

const prepared = new Map<string, Prepared>();

function preparedOf(sql: string): Prepared {
  const known = prepared.get(sql);
  if (known !== undefined) return known;
  let values = 0;
  const text = sql.replace(/\?/g, () => `$${(values += 1)}`);
  const made = { name: `oilcan_${prepared.size + 1}`, text };
  prepared.set(sql, made);
  return made;
}

/** Knex's own client for PostgreSQL, with such transactions, and a way past the building of queries. */
export class PostgresClient extends PgClient implements DirectClient {
  async runDirectly(connection: unknown, sql: string, values: readonly Value[]): Promise<readonly unknown[]> {
    return rowsIn(await (connection as Connection).query({ ...preparedOf(sql), values }));
  }

  override transaction(container: unknown, config: unknown, outer: unknown): Knex.Transaction {
    return new OneWriterTransaction(this, container, config, outer) as unknown as Knex.Transaction;
  }

  /** Of a text of our own the rows alone, as SQLite gives them. */
  override processResponse(asked: { method?: string; response: unknown }, runner: unknown): unknown {
    if (asked.method === 'raw') return rowsIn(asked.response);
    return super.processResponse(asked, runner);
  }
}

/** Of several statements at once, what the last one gave. Throws for what is no answer of `pg`. */
function rowsIn(answer: unknown): readonly unknown[] {
  const last: unknown = Array.isArray(answer) ? answer.at(-1) : answer;
  const rows = (last as Answer | null | undefined)?.rows;
  if (!Array.isArray(rows)) throw new Error('PostgreSQL gave an answer that is not understood.');
  return rows;
}
