import Database from 'better-sqlite3';

/** Durable one-row transactions that plain better-sqlite3 does in a second: the reference for everything that is stored. */
export function plainRate(file: string, bodies: readonly string[]): number {
  const database = new Database(file);
  database.pragma('journal_mode = WAL');
  database.pragma('synchronous = FULL');
  database.exec('CREATE TABLE operations (id TEXT PRIMARY KEY, body TEXT NOT NULL)');
  const insert = database.prepare('INSERT INTO operations VALUES (?, ?)');
  const started = performance.now();
  for (const [index, body] of bodies.entries()) insert.run(String(index), body);
  const seconds = (performance.now() - started) / 1000;
  database.close();
  return bodies.length / seconds;
}
