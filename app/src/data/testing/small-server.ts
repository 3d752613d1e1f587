import { OilcanError, type FileId, type Instant, type OperationId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Operation, Outcome } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/people';
import { MemoryRecords, type Change } from '@oilcan/core/records';
import { applyOperation, tables } from '@oilcan/core/registry';
import type { PullAnswer, PushAnswer } from '@oilcan/core/sync';
import { Unreachable, type FileAnswer, type ServerLink } from '../server-link';

/** A server in memory that applies operations as the real one does, and can be out of reach or lose its answers. */
export class SmallServer {
  readonly records = new MemoryRecords(tables);
  signal: 'good' | 'none' | 'answers lost' = 'good';
  isSessionOver = false;
  scope = 'a';
  pushes = 0;
  /** Thrown instead of an answer to a push, when it gives one. */
  failure: (operations: readonly Operation[]) => Error | null = () => null;
  now: () => Instant;
  /** What has arrived of each file. */
  readonly files = new Map<FileId, number[]>();
  /** How many pieces the line lets through before it breaks. */
  piecesUntilCut = Number.POSITIVE_INFINITY;
  #revision = 0;
  #log: { revision: number; change: Change }[] = [];
  readonly #outcomes = new Map<OperationId, Outcome>();

  constructor(rows: readonly Change[], now: () => Instant) {
    this.now = now;
    this.write(rows);
  }

  write(changes: readonly Change[]): void {
    this.records.change(changes);
    for (const change of changes) {
      this.#revision += 1;
      this.#log = this.#log.filter((each) => each.change.table !== change.table || each.change.id !== change.id);
      this.#log.push({ revision: this.#revision, change });
    }
  }

  /** The line of one person to it. */
  linkOf(person: Person): ServerLink {
    return {
      push: (operations) => this.#answer(() => this.#push(operations, person)),
      pull: (since) => this.#answer(() => Promise.resolve(this.#pull(since))),
      work: (id) => this.#answer(() => Promise.resolve({ changes: this.#workRows(id) })),
      received: (id) => this.#answer(() => Promise.resolve(this.#received(id, false))),
      sendPiece: (id, from, total, piece) =>
        this.#answer(() => Promise.resolve(this.#takePiece(id, from, total, piece))),
    };
  }

  async #answer<T>(work: () => Promise<T>): Promise<T> {
    if (this.signal === 'none') throw new Unreachable();
    if (this.isSessionOver) throw new OilcanError('session_expired');
    const answer = await work();
    if (this.signal === 'answers lost') throw new Unreachable();
    return answer;
  }

  async #push(operations: readonly Operation[], person: Person): Promise<PushAnswer> {
    this.pushes += 1;
    const failure = this.failure(operations);
    if (failure !== null) throw failure;
    const outcomes: { id: string; outcome: Outcome }[] = [];
    for (const operation of operations) {
      const known = this.#outcomes.get(operation.id);
      const applied =
        known === undefined ? await applyOperation(this.records, operation, person, this.now()) : undefined;
      this.write(applied?.changes ?? []);
      const outcome = known ?? applied?.outcome ?? { ok: true };
      this.#outcomes.set(operation.id, outcome);
      outcomes.push({ id: operation.id, outcome });
    }
    return { outcomes, revision: this.#revision, now: this.now() };
  }

  #pull(since: number): PullAnswer {
    const changes = this.#log.filter((each) => each.revision > since).map(({ change }) => change);
    return { changes, revision: this.#revision, hasMore: false, scope: this.scope, now: this.now() };
  }

  #workRows(id: WorkOrderId): Change[] {
    const work = this.records.peek('workOrders', id);
    const steps = this.records.peekList('steps', 'workOrder', id);
    if (work === undefined) throw new OilcanError('not_found', { what: 'work order' });
    return [
      { table: 'workOrders', id, row: work },
      ...steps.map((row): Change => ({ table: 'steps', id: row.id, row })),
    ];
  }

  #received(id: FileId, isWhole: boolean): FileAnswer {
    return { received: this.files.get(id)?.length ?? 0, isWhole };
  }

  #takePiece(id: FileId, from: number, total: number, piece: Uint8Array): FileAnswer {
    if (this.piecesUntilCut <= 0) throw new Unreachable();
    this.piecesUntilCut -= 1;
    const before = this.files.get(id) ?? [];
    if (from !== before.length) throw new OilcanError('file_piece_out_of_place', { received: before.length });
    const content = [...before, ...piece];
    this.files.set(id, content);
    return this.#received(id, content.length === total);
  }
}
