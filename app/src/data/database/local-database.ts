import type { DocumentType } from '@oilcan/core/plant/documents';
import type { FileType } from '@oilcan/core/plant/files';
import type { FileId, Instant, OperationId, PersonId } from '@oilcan/core/kernel';
import type { NumberSeries } from '@oilcan/core/plant/numbers';
import { refuse, type Refusal } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { trustedClock, VERSION_IN_SCOPES, type ClockMemory, type Revision } from '@oilcan/core/sync';
import type { KeptOperation } from './kept-operation';

/** Where the phone stands. */
export interface SyncState {
  /** Who uses it. */
  readonly person: Person | null;
  /** Up to which revision its rows go. */
  readonly revision: Revision;
  /** Whether the first rows are still coming, page by page: nothing that is gone need be told then. */
  readonly isFilling: boolean;
  /** The scope that these rows belong to. */
  readonly scope: string;
  /** The server's time up to which these rows tell everything. */
  readonly knownUntil: Instant;
  /** The revision up to which they did when they last told everything; null where the server takes no account of it. */
  readonly seenRevision: Revision | null;
  /** Of the protocol: these rows hold whatever a phone of this version reads. */
  readonly version: number;
  readonly clock: ClockMemory;
  /** Under which name the server knows this phone; null before anything was kept here. */
  readonly device: string | null;
  /** Numbers that the server lent to the device of that name, by their series, the lowest first. */
  readonly numbers: Readonly<Partial<Record<NumberSeries, readonly string[]>>>;
}

/** A time before everything that Oilcan knows. */
const NEVER = '2000-01-01T00:00:00.000Z' as Instant;

export const nowhere: SyncState = {
  person: null,
  revision: 0,
  isFilling: true,
  scope: '',
  knownUntil: NEVER,
  seenRevision: null,
  version: VERSION_IN_SCOPES,
  clock: trustedClock,
  device: null,
  numbers: {},
};

/** Counts the writes to a database, so that a window notices that another one wrote. */
export type WriteVersion = number;

export interface Loaded {
  readonly writeVersion: WriteVersion;
  readonly syncState: SyncState;
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
  readonly syncState: SyncState;
}

/** A file that is kept here: until it is sent, and then for as long as there is room. */
export interface KeptFile {
  readonly id: FileId;
  readonly mediaType: DocumentType | FileType;
  readonly bytes: number;
  readonly by: PersonId;
  readonly isSent: boolean;
  readonly keptAt: Instant;
}

/** What the phone keeps through a reload. Each method is one transaction: done whole, or not at all. */
export interface LocalDatabase {
  load(): Promise<Loaded>;
  /**
   * Resolves with the new version of writes once the write would survive a dead battery. Rejects with `WriteConflict` when the
   * database is not at `version` any more, and with `StorageFailed` when it cannot be written.
   */
  write(write: Write, writeVersion: WriteVersion): Promise<WriteVersion>;
  files(): Promise<readonly KeptFile[]>;
  putFile(file: KeptFile, content: Uint8Array<ArrayBuffer>): Promise<void>;
  /** Notes that the server has a file, or that it has lost it. */
  noteSent(id: FileId, isSent: boolean): Promise<void>;
  /** Undefined when it is not here. */
  readFile(id: FileId): Promise<Uint8Array<ArrayBuffer> | undefined>;
  removeFile(id: FileId): Promise<void>;
}

/** Another window of this browser wrote in between: read again, then try again. */
export class WriteConflict extends Error {
  constructor() {
    super('Another window wrote first.');
    this.name = 'WriteConflict';
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
