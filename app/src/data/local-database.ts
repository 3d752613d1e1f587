import {
  refuse,
  trustedClock,
  type Change,
  type ClockMemory,
  type DocumentType,
  type FileId,
  type Instant,
  type OperationId,
  type Person,
  type PersonId,
  type Refusal,
  type Revision,
} from '@oilcan/core';
import type { KeptOperation } from './kept-operation';

/** Where the phone stands. */
export interface Bearings {
  /** Who uses it. */
  readonly person: Person | null;
  /** Up to which revision its rows go. */
  readonly revision: Revision;
  /** Whether the first rows are still coming, page by page: nothing that is gone need be told then. */
  readonly isFilling: boolean;
  /** The scope that these rows belong to. */
  readonly scope: string;
  /** The server's time up to which these rows tell everything. */
  readonly knew: Instant;
  readonly clock: ClockMemory;
}

/** A time before everything that Oilcan knows. */
const NEVER = '2000-01-01T00:00:00.000Z' as Instant;

export const nowhere: Bearings = {
  person: null,
  revision: 0,
  isFilling: true,
  scope: '',
  knew: NEVER,
  clock: trustedClock,
};

/** Counts the writes to a database, so that a window notices that another one wrote. */
export type Edition = number;

export interface Loaded {
  readonly edition: Edition;
  readonly bearings: Bearings;
  /** The rows as the server last gave them. */
  readonly rows: readonly Change[];
  /** Of everybody who used this phone, in the order in which they were made. */
  readonly kept: readonly KeptOperation[];
}

/**
 * What is written together or not at all. Rows, how far they go, and the operations whose effects they contain belong
 * together, because an operation that is applied to rows that already contain it is applied twice.
 */
export interface Write {
  readonly keep?: readonly KeptOperation[];
  readonly forget?: readonly OperationId[];
  readonly changes?: readonly Change[];
  /** Whether the changes replace all earlier rows. */
  readonly isWhole?: boolean;
  readonly bearings: Bearings;
}

/** A file that is kept here: until it is sent, and then for as long as there is room. */
export interface KeptFile {
  readonly id: FileId;
  readonly mediaType: DocumentType;
  readonly bytes: number;
  readonly by: PersonId;
  readonly isSent: boolean;
  readonly keptAt: Instant;
}

/** What the phone keeps through a reload. Each method is one transaction: done whole, or not at all. */
export interface LocalDatabase {
  load(): Promise<Loaded>;
  /**
   * Resolves with the new edition once the write would survive a dead battery. Rejects with `Overtaken` when the
   * database is not at `edition` any more, and with `StorageFailed` when it cannot be written.
   */
  write(write: Write, edition: Edition): Promise<Edition>;
  files(): Promise<readonly KeptFile[]>;
  putFile(file: KeptFile, content: Uint8Array<ArrayBuffer>): Promise<void>;
  markSent(id: FileId): Promise<void>;
  /** Undefined when it is not here. */
  readFile(id: FileId): Promise<Uint8Array<ArrayBuffer> | undefined>;
  removeFile(id: FileId): Promise<void>;
}

/** Another window of this browser wrote in between: read again, then try again. */
export class Overtaken extends Error {
  constructor() {
    super('Another window wrote first.');
    this.name = 'Overtaken';
  }
}

/** The browser could not write: its storage is full, or it took it away. */
export class StorageFailed extends Error {
  readonly isFull: boolean;

  constructor(isFull: boolean) {
    super(isFull ? 'There is no space left on this phone.' : 'The browser could not write to its storage.');
    this.name = 'StorageFailed';
    this.isFull = isFull;
  }
}

/** What somebody is told when what they recorded could not be kept. */
export function refusalOf({ isFull }: StorageFailed): Refusal {
  return refuse(isFull ? 'phone_full' : 'phone_storage_failed');
}
