import type { Instant } from '../kernel/time/instant';

/**
 * Every table there is: the row that it holds and the names of its indexes. Empty here; each subject adds its own beside its
 * rows (`declare module`), and `registry/tables.ts` does not compile before every one of them is defined.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is filled by the subjects
export interface TableTypes {}

export type TableName = keyof TableTypes & string;
/** The row of each table. Rows are never changed, only replaced. */
export type Tables = { readonly [T in TableName]: TableTypes[T]['row'] };
export type Row = Tables[TableName];
export type IndexName<T extends TableName> = TableTypes[T]['index'] & string;

/** The key of a row in an index; null leaves it out. */
export type KeyOf<R> = (row: R) => string | null;

/**
 * Who sees the rows of a table:
 *
 * - `nobody`: they do not leave the server,
 * - `own`: the person whose id is the row's key `person`,
 * - `given`: the people in its key `readers`,
 * - `site`: whoever has the site in its key `site`, or one of those in its key `sites`,
 * - `everybody`: everybody who is signed in.
 */
export type SeenBy<Index extends string = string> =
  | 'nobody'
  | 'everybody'
  | ('person' extends Index ? 'own' : never)
  | ('readers' extends Index ? 'given' : never)
  | ('site' extends Index ? 'site' : 'sites' extends Index ? 'site' : never);

/** What may be kept from some of those who see the rest: what people's time costs. */
export type Confidential = 'laborCost';

/** Who looks, as far as it decides what they see. */
export interface Viewer {
  readonly id: string;
  readonly siteIds: readonly string[];
  readonly mayKnow: ReadonlySet<Confidential>;
}

/**
 * Which of the rows that a person sees are carried on their phone:
 *
 * - `always`: all of them,
 * - `never`: they are asked for when somebody looks,
 * - `daysAfterEnd`: what has an end, by its index `ended`, until so many days after it,
 * - `withWork`: what belongs to a work order, where that is carried whole.
 */
export type Replicated<Index extends string = string> =
  | 'always'
  | 'never'
  | ('ended' extends Index ? { readonly daysAfterEnd: number } : never)
  | ('workOrder' extends Index ? 'withWork' : never);

/** A row of any shape, old or new. */
export type Fields = Readonly<Record<string, unknown>>;

/** How a row of an older shape becomes one of a newer; used for the phone's database and for the server's. */
export interface Upgrade {
  /** The version of shapes in which it came, counted over all tables. */
  readonly to: number;
  readonly change: (row: Fields) => Fields;
}

/** Everything that there is to say of a table; nothing of it may be left out. */
export interface TableDefinition<T extends TableName> {
  /** The version of the protocol with which it came: older phones do not hear of it. */
  readonly since: number;
  readonly indexes: Readonly<Record<IndexName<T>, KeyOf<Tables[T]>>>;
  readonly seenBy: SeenBy<IndexName<T>>;
  /** Whether only those who may know this see its rows. */
  readonly confidential: Confidential | null;
  /** The row as it is shown to somebody who may not know all of it; null where everybody who sees it sees all of it. */
  readonly shown: ((row: Tables[T], viewer: Viewer) => Tables[T]) | null;
  /** Whether those who see a row stay the same for as long as it is there. */
  readonly audienceIsFixed: boolean;
  readonly replicated: Replicated<IndexName<T>>;
  /** Whether a row is not kept any more: server and phones let go of it by this, each by itself. Null keeps every row. */
  readonly isExpired: ((row: Tables[T], now: Instant) => boolean) | null;
  /** The oldest first. */
  readonly upgrades: readonly Upgrade[];
}

export type TableSet = { readonly [T in TableName]: TableDefinition<T> };

/** The tables of one subject. */
export type TablesNamed<T extends TableName> = { readonly [N in T]: TableDefinition<N> };

/** A definition as code sees it that works on any table: the link to the type of the rows is lost here, and only here. */
export interface AnyTable {
  readonly since: number;
  readonly indexes: Readonly<Record<string, KeyOf<Row>>>;
  readonly seenBy: SeenBy;
  readonly confidential: Confidential | null;
  readonly shown: ((row: Row, viewer: Viewer) => Row) | null;
  readonly audienceIsFixed: boolean;
  readonly replicated: Replicated;
  readonly isExpired: ((row: Row, now: Instant) => boolean) | null;
  readonly upgrades: readonly Upgrade[];
}

export function anyTable(tables: TableSet, name: TableName): AnyTable {
  return tables[name] as unknown as AnyTable;
}

/** What most tables are: seen by their site, carried, kept, and nothing of them hidden. */
export const ofSite = {
  since: 6,
  seenBy: 'site',
  confidential: null,
  shown: null,
  audienceIsFixed: false,
  replicated: 'always',
  isExpired: null,
  upgrades: [],
} as const;

/** What belongs to a work order, and is carried with it. */
export const ofWork = { ...ofSite, audienceIsFixed: true, replicated: 'withWork' } as const;

/** Several ids as one key, of which each can be found as `|id|`. */
export function keyOfList(ids: readonly string[]): string {
  return `|${ids.join('|')}|`;
}

/** The ids in such a key. */
export function idsInKey(key: string): string[] {
  return key.split('|').filter((id) => id !== '');
}
