import type { Knex } from 'knex';
import { DatabaseProblem } from './database-problem';
import { dialectFor } from './dialects';
import { migrations } from './migrations/migrations';

/** What a program wants of a database. */
export interface Wanted {
  /** Whether one that is not there is an error, and not made. */
  readonly mustExist?: boolean;
  /** Whether it is left in the version in which it is. */
  readonly asItIs?: boolean;
  /** Hears of one that an older Oilcan wrote, once it is of this version. */
  readonly onUpgrade?: (sentence: string) => void;
  /** What is done after the migrations, before anybody uses it. */
  readonly bringUpToDate?: (connection: Knex) => Promise<void>;
}

/**
 * Opens the database and brings it up to date. Throws `DatabaseProblem` with one sentence for one that cannot be used.
 *
 * @param address an SQLite file, or `postgres://…`
 */
export async function connect(address: string, wanted: Wanted = {}): Promise<Knex> {
  const dialect = dialectFor(address);
  if (wanted.mustExist === true && !dialect.exists(address)) {
    throw new DatabaseProblem(`There is no database at ${address}. Nothing was made.`);
  }
  let connection: Knex | undefined;
  try {
    connection = dialect.connect(address);
    await dialect.check(connection, address);
    await refuseNewer(connection, address);
    if (wanted.asItIs !== true) {
      const opened = connection;
      await dialect.oneAtATime(opened, async () => {
        await bringUpToDate(opened, address, wanted);
        // Lists of ids stand in columns that were made for one.
        await dialect.liftLengths(opened);
      });
    }
    dialect.keepPrivate(address);
    return connection;
  } catch (error) {
    await connection?.destroy();
    throw dialect.problemWith(address, error);
  }
}

async function bringUpToDate(connection: Knex, address: string, wanted: Wanted): Promise<void> {
  const [, done] = await migrated(connection);
  const count = (await migrations.getMigrations([])).length;
  if (done.length > 0 && done.length < count)
    wanted.onUpgrade?.(`The database ${placeOf(address)} was written by an older Oilcan. It is brought up to date.`);
  await wanted.bringUpToDate?.(connection);
}

/** An address as it may be said: without the password that may be in it. */
const placeOf = (address: string): string => address.replace(/\/\/[^@/]*@/, '//');

/** So often, and so long apart, it is tried again where somebody else brings it up to date just now. */
const LOCKED_TRIES = 20;
const LOCKED_MILLISECONDS = 500;

/**
 * Brings its tables up to date. Another program that does so at this moment is waited for; what holds its place longer than that died in the
 * middle, and each migration it had begun is undone already.
 */
async function migrated(connection: Knex): Promise<[number, string[]]> {
  for (let tried = 1; ; tried += 1) {
    try {
      return (await connection.migrate.latest({ migrationSource: migrations })) as [number, string[]];
    } catch (error) {
      if (!isLocked(error) || tried > LOCKED_TRIES) throw error;
      if (tried === LOCKED_TRIES) await connection.migrate.forceFreeMigrationsLock({ migrationSource: migrations });
      else await new Promise((resolve) => setTimeout(resolve, LOCKED_MILLISECONDS));
    }
  }
}

const isLocked = (error: unknown): boolean =>
  error instanceof Error && (error.name === 'MigrationLocked' || /migration.*lock/i.test(error.message));

/** Throws for a database that a later Oilcan has written. */
async function refuseNewer(connection: Knex, database: string): Promise<void> {
  if (!(await connection.schema.hasTable('knex_migrations'))) return;
  const known = new Set((await migrations.getMigrations([])).map((each) => migrations.getMigrationName(each)));
  const done: string[] = await connection('knex_migrations').pluck('name');
  if (done.some((name) => !known.has(name))) {
    throw new DatabaseProblem(
      `The database ${placeOf(database)} was written by a newer Oilcan. Update this one first.`,
    );
  }
}
