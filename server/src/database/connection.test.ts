import { chmod, mkdtemp, rm, stat, writeFile } from 'node:fs/promises';
import { existsSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import knex, { type Knex } from 'knex';
import { aStep, put, smallWorks } from '@oilcan/core/testing';
import { openDatabase } from '../open-database';
import { DatabaseProblem } from './database-problem';
import { dialectFor, failureOf } from './dialects';
import { migrations } from './migrations/migrations';
import { SqlRecords } from './sql-records';
import { testClock } from '../testing/test-clock';

let folder: string;
let file: string;
const opened: Knex[] = [];
type Wanted = Parameters<typeof openDatabase>[2];
const open = async (name: string, wanted: Wanted = {}): Promise<Knex> => {
  const database = await openDatabase(name, testClock(), wanted);
  opened.push(database);
  return database;
};
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'oilcan-db-'));
  file = join(folder, 'oilcan.sqlite');
});
afterEach(async () => {
  for (const database of opened.splice(0)) await database.destroy();
  await rm(folder, { recursive: true, force: true });
});

/** The one sentence with which a database is refused. */
const sentence = (name: string, wanted: Wanted = {}): Promise<string> =>
  open(name, wanted).then(
    () => 'opened',
    (error: unknown) => (error instanceof DatabaseProblem ? error.message : `no sentence: ${String(error)}`),
  );

describe('a database that cannot be used', () => {
  it('is not made where one must exist', async () => {
    expect(await sentence(file, { mustExist: true, asItIs: true })).toContain('There is no database at');
    expect(existsSync(file)).toBe(false);
  });

  it('is refused in one sentence when it is none', async () => {
    await writeFile(file, 'This is a shopping list, and longer than the head of a database would be. '.repeat(20));
    expect(await sentence(file)).toContain('is not a database of Oilcan');
    expect(readFileSync(file, 'utf8')).toContain('shopping list');
  });

  it('is refused when it belongs to something else', async () => {
    const other = new Database(file);
    other.exec('CREATE TABLE songs (id TEXT)');
    other.close();
    expect(await sentence(file)).toContain('is not a database of Oilcan');
  });

  it('is refused when a newer Oilcan wrote it', async () => {
    const database = await openDatabase(file, testClock());
    await database('knex_migrations').insert({ name: '999-to-come', batch: 9, migration_time: 0 });
    await database.destroy();
    expect(await sentence(file)).toContain('was written by a newer Oilcan');
  });

  it('is refused when it is damaged', async () => {
    const database = await openDatabase(file, testClock());
    await database.transaction((transaction) => new SqlRecords(transaction).write(smallWorks()));
    await database.raw('PRAGMA wal_checkpoint(TRUNCATE)');
    await database.destroy();
    const bytes = readFileSync(file);
    bytes.fill(0x5a, 4_096 * 3, 4_096 * 12);
    await writeFile(file, bytes);
    expect(await sentence(file)).toContain('is damaged');
  });

  it('is refused when it is a folder', async () => {
    expect(await sentence(folder)).toContain('cannot be opened');
  });
});

describe('a database of an older Oilcan', () => {
  it('is brought up to date, which is said once; a backup of it is left as it is', async () => {
    const old = knex({ client: 'better-sqlite3', connection: { filename: file }, useNullAsDefault: true });
    const all = await migrations.getMigrations([]);
    const earlier = { ...migrations, getMigrations: () => Promise.resolve(all.slice(0, 5)) };
    await old.migrate.latest({ migrationSource: earlier });
    await old.destroy();
    const said: string[] = [];
    const say = { onUpgrade: (sentence: string) => said.push(sentence) };
    const asItIs = await open(file, { mustExist: true, asItIs: true, ...say });
    expect(said).toEqual([]);
    expect(await asItIs('knex_migrations').pluck('name')).toHaveLength(5);
    await open(file, say);
    await open(file, say);
    await open(join(folder, 'new.sqlite'), say);
    expect(said).toEqual([expect.stringContaining('was written by an older Oilcan')]);
  });
});

describe('a database and its backup', () => {
  it('are read and written by their owner alone', async () => {
    await writeFile(file, '');
    await chmod(file, 0o644);
    const database = await open(file);
    await database.transaction((transaction) => new SqlRecords(transaction).write(smallWorks()));
    const copy = join(folder, 'copy.sqlite');
    await dialectFor(file).backUp(database, copy);
    const modes = await Promise.all([file, copy].map(async (path) => ((await stat(path)).mode & 0o777).toString(8)));
    expect(modes).toEqual(['600', '600']);
    await expect(dialectFor(file).backUp(database, copy)).rejects.toThrow('There is a file at');
    const restored = await open(copy);
    expect(await restored('work_orders').pluck('id')).toEqual(['w-1']);
  });
});

describe('two writers of one database', () => {
  it('take turns, and the one who waits too long is told that it is busy', async () => {
    const [one, other] = [await open(file), await open(file)];
    const write = (database: Knex, position: number) =>
      database.transaction((transaction) => new SqlRecords(transaction).write([put('steps', aStep(position))]));
    await write(one, 1);
    await write(other, 2);
    // So that this one gives up before long.
    await other.raw('PRAGMA busy_timeout = 50');
    const holding = await one.transaction();
    const refused: unknown = await write(other, 3).then(
      () => 'written',
      (error: unknown) => error,
    );
    expect(failureOf(refused)).toBe('busy');
    // What only reads waits for nobody.
    const seen = await other.transaction((transaction) => transaction('steps').pluck('id'), { readOnly: true });
    expect(seen).toHaveLength(2);
    await holding.rollback();
    await write(other, 3);
    expect(await one('steps').pluck('id')).toHaveLength(3);
  });

  it('cannot both serve it', async () => {
    await open(file);
    const release = dialectFor(file).serveAlone(file);
    expect(() => dialectFor(file).serveAlone(file)).toThrow('Another Oilcan serves');
    release();
    dialectFor(file).serveAlone(file)();
  });
});
