import type { Knex } from 'knex';

/** What an error of a database means, where it means something to whoever asks or to whoever started the program. */
export type Failure = 'busy' | 'full' | 'readOnly';

/** What differs between kinds of databases. Everything else is written through Knex, in SQL that all of them have. */
export interface Dialect {
  /** Whether an address names a database of this kind. */
  readonly isFor: (address: string) => boolean;
  /** Whether there is a database at the address already. */
  readonly exists: (address: string) => boolean;
  /** Opens a connection; what was acknowledged on it survives a power cut. */
  readonly connect: (address: string) => Knex;
  /** Throws `DatabaseProblem` for one that is damaged, or belongs to something else. */
  readonly check: (connection: Knex, address: string) => Promise<void>;
  /** After it was opened or written: sees to it that nobody but its owner reads it. */
  readonly keepPrivate: (address: string) => void;
  /** Holds the right to serve it, until let go or the process ends. Throws `DatabaseProblem` when another has it. */
  readonly serveAlone: (address: string) => () => void;
  /** A consistent copy of a running database. Throws `DatabaseProblem` when there is something at `file` already. */
  readonly backUp: (connection: Knex, file: string) => Promise<void>;
  /** An error as the one sentence for whoever started the program, or as it is where it means nothing that they could mend. */
  readonly problemWith: (address: string, error: unknown) => unknown;
  /** What an error says; null for one that is not of the database, or says nothing of these. */
  readonly failureOf: (error: unknown) => Failure | null;
}
