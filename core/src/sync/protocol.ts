import '../operations/yup-sentences';
import * as yup from 'yup';
import type { Operation, Outcome } from '../operations/operation';
import { OilcanError } from '../errors/oilcan-error';
import type { Change } from '../records/records';
import type { Instant } from '../time/instant';

/**
 * Raised whenever an older phone could no longer talk to the server.
 * 2: operations say how far the device's clock was ahead, and what its person could know.
 * 3: work orders have tools, isolation and kits in other units; documents, numbered parts, labels and kit lists.
 * 4: permits and contacts.
 * 5: rows say whose they are; rates are a table of their own; hazards have controls, people and work a trade.
 */
export const PROTOCOL_VERSION = 5;

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

/** `POST /api/operations`. The operations themselves are judged one by one. */
export const pushSchema = yup
  .object({
    protocol: yup.number().strict().integer().required(),
    operations: yup.array().strict().of(yup.mixed().defined()).min(1, 'Send at least one operation.').required(),
  })
  .noUnknown()
  .strict()
  .required()
  .meta({ describedAs: 'Push' });

export interface PushRequest {
  readonly protocol: number;
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

/** `GET /api/sync?since=&filling=&protocol=`: while the phone is filled for the first time, nothing is said of what is gone. */
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

/** Throws `protocol_older` or `protocol_newer` for a phone that speaks another version than this server. */
export function checkProtocol(protocol: number): void {
  if (protocol < PROTOCOL_VERSION) throw new OilcanError('protocol_older');
  if (protocol > PROTOCOL_VERSION) throw new OilcanError('protocol_newer');
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
