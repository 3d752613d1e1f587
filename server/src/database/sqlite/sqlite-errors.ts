import { DatabaseProblem } from '../database-problem';
import type { Failure } from '../dialect';

/** The code of an error of SQLite; looked for by itself, because a native module has errors of its own making. */
function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
}

/** What an error of SQLite means for a file; the error itself when it means nothing that a person could mend. */
export function problemWith(file: string, error: unknown): unknown {
  const code = codeOf(error);
  if (code === 'SQLITE_NOTADB') return new DatabaseProblem(`${file} is not a database of Oilcan.`);
  if (code.startsWith('SQLITE_CORRUPT')) {
    return new DatabaseProblem(`The database ${file} is damaged. Restore a backup.`);
  }
  if (code.startsWith('SQLITE_READONLY') || code === 'EROFS') {
    return new DatabaseProblem(
      `The database ${file} cannot be written. Check who owns it and whether its disk is full.`,
    );
  }
  if (code.startsWith('SQLITE_CANTOPEN') || code === 'EACCES' || code === 'EISDIR') {
    return new DatabaseProblem(`The database ${file} cannot be opened. Check its path and who may read it.`);
  }
  if (code.startsWith('SQLITE_BUSY')) {
    return new DatabaseProblem(`The database ${file} is being written by another program. Try again when it is done.`);
  }
  if (code === 'SQLITE_FULL' || code === 'ENOSPC') {
    return new DatabaseProblem('There is no space left on the disk. Free some and start again.');
  }
  // What SQLite says of itself holds the statement, with the values of rows.
  if (code.startsWith('SQLITE')) return new DatabaseProblem(`The database ${file} refused: ${code}.`);
  return error;
}

export function failureOf(error: unknown): Failure | null {
  const code = codeOf(error);
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) return 'busy';
  if (code === 'SQLITE_FULL' || code === 'SQLITE_IOERR_WRITE') return 'full';
  return code.startsWith('SQLITE_READONLY') ? 'readOnly' : null;
}
