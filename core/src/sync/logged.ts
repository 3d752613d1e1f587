import type { Instant } from '../kernel/time/instant';
import type { Outcome } from '../operations/operation';
import type { TableName } from '../records/table';

/** What an operation did to one row: made it, took it away, or changed fields of it. */
export interface LoggedRow {
  readonly table: TableName;
  readonly id: string;
  readonly did: 'made' | 'removed' | 'changed';
  /** By the name of the field, what it held before and after; long values are cut. Empty where it was not changed. */
  readonly fields: Readonly<Record<string, { readonly before: unknown; readonly after: unknown }>>;
}

/** One operation as it came to the server: who did what, when, on which device, and what it changed. */
export interface LoggedOperation {
  readonly id: string;
  readonly name: string;
  /** Whose it is; empty where Oilcan did it by itself. */
  readonly by: string;
  /** The device by its id, and in words as its browser says; null where that was not noted. */
  readonly device: string;
  readonly deviceWords: string | null;
  /** When it was done by the device's clock, and when it came to be known. */
  readonly at: string;
  readonly receivedAt: Instant;
  readonly args: unknown;
  readonly outcome: Outcome;
  /** Null where it was logged before changes were. */
  readonly changed: readonly LoggedRow[] | null;
}

/** `GET /api/log`: the newest first. */
export interface LogAnswer {
  readonly operations: readonly LoggedOperation[];
  /** From where the older ones go on; null where there are none. */
  readonly before: string | null;
}
