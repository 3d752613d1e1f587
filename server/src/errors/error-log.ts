interface LoggedError {
  [key: string]: unknown;
  readonly type: string;
  /** Its code, in the place of what it says. */
  readonly message: string;
  /** Where it came from, line by line, without its message. */
  readonly stack: string;
}

/**
 * An error as the log keeps it: its kind, its code and where it came from. Not its message, because that of a database
 * holds the statement with the values of the row.
 */
export function errorWithoutValues(error: unknown): LoggedError {
  if (!(error instanceof Error)) return { type: typeof error, message: '', stack: '' };
  const lines = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return {
    type: error.name,
    message: 'code' in error ? String(error.code) : '',
    stack: lines.join('\n'),
  };
}
