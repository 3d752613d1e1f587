import '../operations/yup-sentences';
import * as yup from 'yup';
import type { Operation, Outcome } from '../operations/operation';
import type { Change } from '../records/records';

/** Raised whenever an older phone could no longer talk to the server. */
export const PROTOCOL_VERSION = 1;

/** Operations in one push. */
export const PUSH_LIMIT = 50;
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
  .required();

export interface PushRequest {
  readonly protocol: number;
  readonly operations: readonly Operation[];
}

export interface PushAnswer {
  /** In the order of the request. */
  readonly outcomes: readonly { readonly id: string; readonly outcome: Outcome }[];
  /** A pull up to this revision brings everything that these operations changed. */
  readonly revision: Revision;
}

/** `GET /api/sync?since=&filling=`: while the phone is filled for the first time, nothing is said of what is gone. */
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
}
