import type * as yup from 'yup';
import type { ErrorCode, ErrorValues } from '../errors/catalogue';
import type { EntryId, OperationId, PersonId } from '../ids/ids';
import type { Person, Role } from '../people/people';
import type { Records } from '../records/records';
import type { Settings } from '../settings/settings';
import type { Instant } from '../time/instant';

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
  readonly knew: Instant;
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

/** What an operation may know beside its arguments and the records. */
export interface OperationContext {
  readonly operationId: OperationId;
  /** The entry that the operation adds carries its id, so that a second application adds nothing. */
  readonly entryId: EntryId;
  readonly person: Person;
  /** When the person did it, by the server's clock. */
  readonly at: Instant;
  /** How far the device's clock was off, in minutes: above zero when it was ahead. */
  readonly clockOffMinutes: number;
  /** What came to the server at this moment or later, the person could not know. */
  readonly knew: Instant;
  /** The present of the side that applies it: when it comes to be known. */
  readonly now: Instant;
  readonly settings: Settings;
}

/** One kind of operation: what it takes, who may do it, what it does. */
export interface OperationDefinition<Args> {
  readonly schema: yup.Schema<Args>;
  readonly roles: readonly Role[];
  /** For people: what it does, as a noun phrase that ends a sentence such as “Not taken: …”. */
  readonly label: string;
  /** Reads and writes the records, or refuses. What a refused one wrote is dropped by the caller. */
  readonly apply: (records: Records, args: Args, context: OperationContext) => Promise<Outcome>;
}

export function defineOperation<Args>(definition: OperationDefinition<Args>): OperationDefinition<Args> {
  return definition;
}
