import type { FileId, WorkOrderId } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Change } from '@oilcan/core/records';
import type { PullAnswer, PushAnswer, Revision } from '@oilcan/core/sync';

/** What the phone asks of the server. Rejects with `Unreachable`, or with the server's own `OilcanError`. */
export interface ServerLink {
  push(operations: readonly Operation[]): Promise<PushAnswer>;
  pull(question: PullQuestion): Promise<PullAnswer>;
  /** A work order with everything recorded on it. */
  work(id: WorkOrderId): Promise<{ readonly changes: readonly Change[] }>;
  /** How much of a file the server has. */
  received(id: FileId): Promise<FileAnswer>;
  sendPiece(id: FileId, from: number, total: number, piece: Uint8Array<ArrayBuffer>): Promise<FileAnswer>;
}

/** What a phone asks for when it fetches rows. */
export interface PullQuestion {
  /** Up to which revision it has them. */
  readonly since: Revision;
  /** Whether the first rows are fetched. */
  readonly isFilling: boolean;
  /** Its name, where it wants numbers lent. */
  readonly device: string | null;
  /** A version of the protocol, where only what came with later ones is wanted. */
  readonly tablesAfter: number | null;
}

export interface FileAnswer {
  readonly received: number;
  readonly isWhole: boolean;
}

/** There was no answer: no signal, no server, or something in between that is not ours. */
export class Unreachable extends Error {
  constructor() {
    super('The server cannot be reached.');
    this.name = 'Unreachable';
  }
}
