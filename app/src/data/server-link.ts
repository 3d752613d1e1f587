import type { FileId, WorkOrderId } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Change } from '@oilcan/core/records';
import type { PullAnswer, PushAnswer, Revision } from '@oilcan/core/sync';

/** What the phone asks of the server. Rejects with `Unreachable`, or with the server's own `OilcanError`. */
export interface ServerLink {
  push(operations: readonly Operation[]): Promise<PushAnswer>;
  /** `isFilling` while the first rows are fetched; `device` is named where it wants numbers lent. */
  pull(since: Revision, isFilling: boolean, device: string | null): Promise<PullAnswer>;
  /** A work order with everything recorded on it. */
  work(id: WorkOrderId): Promise<{ readonly changes: readonly Change[] }>;
  /** How much of a file the server has. */
  received(id: FileId): Promise<FileAnswer>;
  sendPiece(id: FileId, from: number, total: number, piece: Uint8Array<ArrayBuffer>): Promise<FileAnswer>;
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
