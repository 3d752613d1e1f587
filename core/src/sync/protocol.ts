import '../kernel/schema/yup-sentences';
import * as yup from 'yup';
import type { Operation, Outcome } from '../operations/operation';
import { OilcanError } from '../kernel/errors/oilcan-error';
import type { Change } from '../records/records';
import type { Instant } from '../kernel/time/instant';

/**
 * The versions of the protocol that are spoken here. The newest is raised whenever something is added; the oldest whenever
 * an older phone could not read what it gets any more. What is added says the version with which it came, so that an older
 * phone does not hear of it (`isKnownAt`).
 * 2: operations say how far the device's clock was ahead, and what its person could know.
 * 3: work orders have tools, isolation and kits in other units; documents, numbered parts, labels and kit lists.
 * 4: permits and contacts.
 * 5: rows say whose they are; rates are a table of their own; hazards have controls, people and work a trade.
 * 6: operations say until when things were known; who had work before and its last transition have other names.
 */
export const PROTOCOL: ProtocolRange = { oldest: 6, newest: 6 };

/** The versions that one side speaks, from the oldest to the newest. */
export interface ProtocolRange {
  readonly oldest: number;
  readonly newest: number;
}

/** Operations in one push. */
export const PUSH_LIMIT = 50;
/** Bytes of operations in one push, unless a single one is longer. */
export const PUSH_BYTES = 256 * 1024;
/** Bytes in one request. */
export const REQUEST_BYTES_LIMIT = 512 * 1024;
/** Rows in one page of a pull. */
export const PULL_PAGE_ROWS = 2_000;

/** Where a phone stands: every row up to this revision is known to it. */
export type Revision = number;

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
}

/** `GET /api/sync?since=&filling=&protocol=&oldest=`: while the phone is filled for the first time, nothing is said of what is gone. */
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
