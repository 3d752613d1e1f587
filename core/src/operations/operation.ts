import type * as yup from 'yup';
import type { Revision, Seen } from './known';
import type { ErrorCode, ErrorValues } from '../kernel/errors/catalogue';
import type { EntryId, OperationId, PersonId } from '../kernel/ids';
import type { Instant } from '../kernel/time/instant';
import type { LocalDay } from '../kernel/time/local-day';
import type { Records } from '../records/records';
import type { TableName, Upgrade } from '../records/table';
import type { Actor, Role } from './actor';

/** One change that a person makes; the unit that is kept on the phone and sent. */
export interface Operation {
  /** UUID version 7, made on the device. */
  readonly id: OperationId;
  readonly name: string;
  readonly args: unknown;
  /** Device time with its offset, ISO 8601. */
  readonly at: string;
  /** Milliseconds that the device's clock was ahead of the server's, as far as it knew. */
  readonly ahead: number;
  /** The server's time up to which the person could know what others did: when the device last heard all of it. */
  readonly knownUntil: Instant;
  /** The revision up to which the device had read all that the server wrote; absent from phones that cannot say. */
  readonly seenRevision?: Revision;
  readonly by: PersonId;
  /** Names the device, not the person. */
  readonly device: string;
}

/** Why an operation was not carried out: a code of the catalogue and where in its input. */
export interface Refusal {
  readonly ok: false;
  readonly code: ErrorCode;
  readonly values: ErrorValues;
  /** Path within the arguments, such as `minutes`. */
  readonly field: string | null;
}

export type Outcome = { readonly ok: true } | Refusal;

export const accepted: Outcome = { ok: true };

export function refuse(code: ErrorCode, values: ErrorValues = {}, field: string | null = null): Refusal {
  return { ok: false, code, values, field };
}

/** What was looked for, or why it is not to be had. */
export type Result<T> = { readonly ok: true; readonly value: T } | Refusal;

/** The side that applies an operation: the server, or a phone. */
export interface Side {
  /** Its present: when what the operation says comes to be known. */
  readonly now: Instant;
  /** The number for what the operation makes, where it brings none and this side can give one. */
  readonly newNumber: string | null;
  /** Whoever has read up to this revision knows what the operation does; null on a phone, which gives none. */
  readonly revision: Revision | null;
  /** Finds the dates of a rule; null on a phone that has not got it yet, which leaves to the server what hangs on it. */
  readonly nextOn: NextOn | null;
}

/** Finds the first date after a day of a rule (RFC 5545, 3.3.10) that begins on a day; null for none. */
export type NextOn = (rule: string, from: LocalDay, after: LocalDay) => LocalDay | null;

/** What an operation may know beside its arguments and the records. */
export interface OperationContext extends Side, Seen {
  readonly operationId: OperationId;
  /** The entry that the operation adds carries its id, so that a second application adds nothing. */
  readonly entryId: EntryId;
  readonly person: Actor;
  /** When the person did it, by the server's clock. */
  readonly at: Instant;
  /** How far the device's clock was off, in minutes: above zero when it was ahead. */
  readonly clockOffMinutes: number;
}

/** How the value of an argument is typed again by the person whose operation was refused. */
export type MendKind = 'line' | 'text' | 'duration' | 'quantity' | 'number' | 'numberAnswer';

/** Which arguments of a refused operation can be put right, and how. */
export type CorrectableFields<Args> = { readonly [Name in keyof Args]?: MendKind };

/** A row by its table and id. */
export interface RowName {
  readonly table: TableName;
  readonly id: string;
}

/** The name of a row, where its id is given. */
export function rowNamed(table: TableName, id: string | undefined): RowName | null {
  return id === undefined ? null : { table, id };
}

/** Those arguments that are short texts, before anybody has checked them. */
export type NamedIn<Args> = { readonly [Name in keyof Args]?: string };

export type Governs = 'nothing' | 'site' | 'everything';

/** One kind of operation: what it takes, who may do it, what it does. */
export interface OperationDefinition<Args, Correct = CorrectableFields<Args>> {
  readonly schema: yup.Schema<Args>;
  readonly roles: readonly Role[];
  /** Whether leads read in the log of the server who did it and what it changed; of what is private, not even its arguments are kept. */
  readonly inLog: 'forLeads' | 'private';
  /**
   * What the rules that it sets hold for: one site, named by its argument `siteId`, which must be one of the person's; everything, which
   * takes somebody who is responsible for all of it; nothing, where it sets none and only changes rows of work, stock and reports.
   */
  readonly governs: Governs;
  /** For people: what it does, as a noun phrase that ends a sentence such as “Not taken: …”. */
  readonly label: string;
  /** The argument that names a file, as a dotted path, which is with the server before this is; null for none. */
  readonly file: (keyof Args & string) | `${keyof Args & string}.${string}` | null;
  /** Of which types that file must be, where it may not be any that is taken; absent where its arguments say its type. */
  readonly fileTypes?: readonly string[];
  /** What it makes that has a number of its own, which stands in its argument `number`; null for nothing. */
  readonly numbered: string | null;
  /** The rows that it is going to read by their ids, so that many are read at once. Only speed depends on it. */
  readonly reads: (named: NamedIn<Args>, by: PersonId) => readonly (RowName | null)[];
  readonly correct: {
    readonly fields: Correct;
    /** Whether a corrected one happened when it was first made, as a record did, or happens now, as a change of state does. */
    readonly keepsTime: boolean;
  };
  /** How the arguments of an older Oilcan become those of this one; the oldest first. */
  readonly upgrades: readonly Upgrade[];
  /** Reads and writes the records, or refuses. What a refused one wrote is discarded by the caller. */
  readonly apply: (records: Records, args: Args, context: OperationContext) => Promise<Outcome>;
}

/** What few operations have: a file, a number for what they make, older arguments. A test over all of them asks for it where it is due. */
type Rare = 'file' | 'numbered' | 'upgrades';

/** A definition as it is written: who may do it, who reads of it and what it governs are always said. */
export type OperationGiven<Args, Correct = CorrectableFields<Args>> = Omit<OperationDefinition<Args, Correct>, Rare> &
  Partial<Pick<OperationDefinition<Args, Correct>, Rare>>;

export function defineOperation<Args, const Correct extends CorrectableFields<Args>>(
  given: OperationGiven<Args, Correct>,
): OperationDefinition<Args, Correct> {
  return { file: null, numbered: null, upgrades: [], ...given };
}

/** A definition with its arguments unknown until its schema has read them. */
export type AnyOperation = OperationDefinition<Readonly<Record<string, unknown>>, Readonly<Record<string, MendKind>>>;
