import '../kernel/schema/yup-sentences';
import type { Revision } from '../operations/known';
import * as yup from 'yup';
import type { Operation, Outcome } from '../operations/operation';
import { OilcanError } from '../kernel/errors/oilcan-error';
import type { Change } from '../records/records';
import { NEWEST_VERSION } from '../registry/newest-version';
import type { NumberSeries } from '../subjects/plant/numbers/numbers';
import type { Instant } from '../kernel/time/instant';

/** With which version operations say up to which revision their person had seen what others did. */
export const SEEN_REVISION_SINCE = 17;

/** Since when a phone asks for the tables and kinds that came after the version at which it read until then. */
export const TABLES_AFTER_SINCE = 18;

/**
 * The last version that stands in the name of a scope: a phone that was brought up to one of these fetches everything anew, since it could not
 * ask for less. What came later it fetches by itself.
 */
export const VERSION_IN_SCOPES = 16;

/**
 * The versions of the protocol that are spoken here. The newest rises by itself with what is added, since every table and
 * kind of entry says with which version it came, so that an older phone does not hear of it (`isKnownAt`). The oldest is
 * raised by hand, whenever an older phone could not read what it gets any more. docs/SYNC.md has what came with each.
 */
export const PROTOCOL: ProtocolRange = { oldest: 8, newest: Math.max(NEWEST_VERSION, TABLES_AFTER_SINCE) };

/** The versions that one side speaks, from the oldest to the newest. */
export interface ProtocolRange {
  readonly oldest: number;
  readonly newest: number;
}

/** What a range of versions looks like in an address: `6-7`, or `7` where one is all. Short, since it goes with every look for news. */
export const RANGE = /^\d{1,4}(-\d{1,4})?$/;

export function rangeText({ oldest, newest }: ProtocolRange): string {
  return oldest === newest ? String(newest) : `${oldest}-${newest}`;
}

/** Of a text that is like `RANGE`. */
export function readRange(text: string): ProtocolRange {
  const [oldest, newest = oldest] = text.split('-').map(Number);
  return { oldest: oldest ?? NaN, newest: newest ?? NaN };
}

/** Operations in one push. */
export const PUSH_LIMIT = 50;
/** Bytes of operations in one push, unless a single one is longer. */
export const PUSH_BYTES = 256 * 1024;
/** Bytes in one request. */
export const REQUEST_BYTES_LIMIT = 512 * 1024;
/** Bytes of a file that are sent at once, so that little is lost when the signal goes. */
export const FILE_PIECE_BYTES = 256 * 1024;
/** Rows in one page of a pull. */
export const PULL_PAGE_ROWS = 2_000;

/** Where a phone stands: every row up to this revision is known to it. */
export type { Revision };

/** `POST /api/operations`. The operations themselves are applied one by one. */
export const pushSchema = yup
  .object({
    protocol: yup.number().strict().integer().required(),
    oldest: yup.number().strict().integer(),
    operations: yup.array().strict().of(yup.mixed().defined()).min(1, 'Send at least one operation.').required(),
  })
  .noUnknown()
  .strict()
  .required()
  .meta({ describedAs: 'Push' });

export interface PushRequest {
  /** The newest version that the phone speaks. */
  readonly protocol: number;
  /** The oldest; the same when it is left out. */
  readonly oldest?: number;
  readonly operations: readonly Operation[];
}

export interface PushAnswer {
  /** In the order of the request. */
  readonly outcomes: readonly { readonly id: string; readonly outcome: Outcome }[];
  /** A pull up to this revision brings everything that these operations changed. */
  readonly revision: Revision;
  /** The server's present. */
  readonly now: Instant;
  /**
   * Ids of operations that brought a number which their phone was not lent, and got another; left out for none. What such a phone
   * believes to be lent is not: it asks anew.
   */
  readonly renumbered?: readonly string[];
}

/**
 * `GET /api/sync?since=&filling=&protocol=6-7&device=&tablesAfter=`: while the phone is filled for the first time, nothing is said of what it
 * never had. With `tablesAfter`, only of what came with later versions of the protocol than this.
 */
export interface PullAnswer {
  readonly changes: readonly Change[];
  /** Pass it as the next `since`. */
  readonly revision: Revision;
  /** Whether there is another page. */
  readonly hasMore: boolean;
  /**
   * Names what this person may see. When it is not the one the phone last had, its rows are of another
   * scope and it starts over from revision 0.
   */
  readonly scope: string;
  /** The server's present, taken before the rows were read: whatever it took in before, these rows tell. */
  readonly now: Instant;
  /** The version of the protocol on which phone and server agreed; left out by servers that cannot say. */
  readonly version?: number;
  /** Of each series the numbers that this device may use, the lowest first; left out while there are further pages. */
  readonly numbers?: Readonly<Record<NumberSeries, readonly string[]>>;
}

/**
 * The newest version that a phone and this server both speak. Throws `protocol_older` or `protocol_newer`, as the phone is,
 * when there is none.
 */
export function agreeOn(phone: ProtocolRange, server: ProtocolRange = PROTOCOL): number {
  if (phone.newest < server.oldest) throw new OilcanError('protocol_older');
  if (phone.oldest > server.newest) throw new OilcanError('protocol_newer');
  return Math.min(phone.newest, server.newest);
}

/** The first of these operations that go into one push: at least one, then as many as fit. */
export function batchOf(operations: readonly Operation[], most: number = PUSH_LIMIT): Operation[] {
  let bytes = 0;
  const batch: Operation[] = [];
  for (const operation of operations.slice(0, most)) {
    // A character takes at most three bytes in UTF-8 for each unit of a string's length.
    bytes += JSON.stringify(operation).length * 3;
    if (batch.length > 0 && bytes > PUSH_BYTES) break;
    batch.push(operation);
  }
  return batch;
}
