/** Why a database cannot be used, in one sentence for whoever started the program. */
export class DatabaseProblem extends Error {
  constructor(sentence: string) {
    super(sentence);
    this.name = 'DatabaseProblem';
  }
}

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
  return error;
}

/** Whether an error says that another writer has the database just now. */
export function isBusy(error: unknown): boolean {
  const isTimeout = typeof error === 'object' && error !== null && 'name' in error && error.name === 'KnexTimeoutError';
  return isTimeout || codeOf(error).startsWith('SQLITE_BUSY') || codeOf(error).startsWith('SQLITE_LOCKED');
}
