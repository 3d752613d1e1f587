import type { Knex } from 'knex';
import type { RateLimiterAbstract } from 'rate-limiter-flexible';
import type { Channel } from './channel';

/** What an error of a database means, where it means something to whoever asks or to whoever started the program. */
export type Failure = 'busy' | 'full' | 'readOnly';

/** A text by whose words something of a site is found. */
export interface FoundText {
  readonly id: string;
  readonly site: string;
  /** Words in lower case, with a space between them. */
  readonly text: string;
}

/** Texts that are found by the beginnings of their words. */
export interface TextIndex {
  /** Makes it anew, empty. */
  readonly make: (connection: Knex) => Promise<void>;
  /** Adds texts, or puts them in the place of those with their ids. */
  readonly put: (transaction: Knex, texts: readonly FoundText[]) => Promise<void>;
  /** The text of an id; undefined where there is none. */
  readonly textOf: (connection: Knex, id: string) => Promise<string | undefined>;
  /** The ids of texts of these sites that have all of these words, or words that begin so, the likeliest first. */
  readonly find: (
    connection: Knex,
    wanted: { readonly words: readonly string[]; readonly sites: readonly string[]; readonly most: number },
  ) => Promise<string[]>;
}

/** How often something may be done. */
export interface Bounds {
  readonly keyPrefix: string;
  readonly points: number;
  /** Within so many seconds. */
  readonly duration: number;
}

/** Makes what counts, within bounds. */
export type Counting = (bounds: Bounds) => RateLimiterAbstract;

/** What differs between kinds of databases. Everything else is written through Knex, in SQL that all of them have. */
export interface Dialect {
  /** Whether an address names a database of this kind. */
  readonly isFor: (address: string) => boolean;
  /** Whether there is a database at the address already. */
  readonly exists: (address: string) => boolean;
  /** Opens a connection; what was acknowledged on it survives a power cut. */
  readonly connect: (address: string) => Knex;
  /** Whether a connection is to a database of this kind. */
  readonly runs: (connection: Knex) => boolean;
  readonly texts: TextIndex;
  /** Throws `DatabaseProblem` for one that is damaged, or belongs to something else. */
  readonly check: (connection: Knex, address: string) => Promise<void>;
  /** How servers on the same database tell one another what happened. */
  readonly channel: (connection: Knex) => Channel;
  /** Counts what somebody may do only so often, for all servers on the database. */
  readonly counts: (connection: Knex, bounds: Bounds) => RateLimiterAbstract;
  /** Takes away the lengths that columns of texts were given, which some databases would hold rows to. */
  readonly liftLengths: (connection: Knex) => Promise<void>;
  /** Does a task unless another server does the same just now; gives whether it was done. */
  readonly unlessElsewhere: (connection: Knex, task: string, work: () => Promise<void>) => Promise<boolean>;
  /** Does something that no two programs may do to the database at the same time: they wait for one another. */
  readonly oneAtATime: <T>(connection: Knex, work: () => Promise<T>) => Promise<T>;
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
