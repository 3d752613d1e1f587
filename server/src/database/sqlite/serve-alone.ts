import Database from 'better-sqlite3';
import { DatabaseProblem } from '../database-problem';
import { failureOf } from './sqlite-errors';

/**
 * Holds the right to serve a database file, until it is let go or the process ends, however it ends: the lock is the
 * operating system's, on a small file beside the database. Throws `DatabaseProblem` when another process has it.
 *
 * @returns lets go
 */
export function serveAlone(file: string): () => void {
  const lock = new Database(`${file}-served`, { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (failureOf(error) !== 'busy') throw error;
    throw new DatabaseProblem(`Another Oilcan serves the database ${file} already. Stop it first.`);
  }
  return () => lock.close();
}
