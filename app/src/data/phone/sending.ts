import { OilcanError, toMillis, type ErrorCode, type FileId, type OperationId } from '@oilcan/core/kernel';
import { refuse, type Outcome, type Refusal } from '@oilcan/core/operations';
import { batchOf, PUSH_LIMIT, type PushAnswer } from '@oilcan/core/sync';
import { isAboutTheRequest, isPassing } from './contact';
import type { FileQueue } from './file-queue';
import type { KeptOperation } from '../database/kept-operation';
import type { ServerLink } from '../server/server-link';
import type { LocalStore } from '../database/local-store';
import type { Rules } from '../rules/rules';
import { reStamped } from './re-stamped';

interface SendingParts {
  readonly store: LocalStore;
  readonly files: FileQueue;
  readonly server: ServerLink;
  readonly rules: () => Promise<Rules>;
  /** Asks the server, and measures the device's clock by its answer. */
  readonly asked: (ask: () => Promise<PushAnswer>) => Promise<PushAnswer>;
  /** Shows what is kept now. */
  readonly replay: () => Promise<void>;
  readonly onChange: () => void;
}

/** What was not applied, and may be taken when it is sent again: its file is missing, or the server is too old to know it. */
const failedAt: readonly ErrorCode[] = ['file_missing', 'operation_unknown'];

/** An operation that the server fails at so often in a row is put aside, so that it does not hold up the others. */
const TRIES_OF_ONE = 5;

/** How a phone's operations and files leave it: which can go, in what portions, and what becomes of each answer. */
export class Sending {
  readonly #parts: SendingParts;
  #underway: ReadonlySet<OperationId> = new Set();
  #most = PUSH_LIMIT;
  #triesOfOne = 0;

  constructor(parts: SendingParts) {
    this.#parts = parts;
  }

  /** The operations that are on their way just now. */
  get underway(): ReadonlySet<OperationId> {
    return this.#underway;
  }

  /** Pending operations that can go now: those that wait for a file, or for one that does, are left out. */
  async #sendable(): Promise<KeptOperation[]> {
    const pending = this.#parts.store.kept.filter(({ where }) => where === 'pending');
    if (pending.length === 0) return [];
    const { fileNamedBy, namesOneOf } = await this.#parts.rules();
    const waiting = new Set<OperationId>();
    return pending.filter(({ operation }) => {
      const file = fileNamedBy(operation);
      const isWaiting = (file !== null && this.#parts.files.isUnsent(file)) || namesOneOf(operation, waiting);
      if (isWaiting) waiting.add(operation.id);
      return !isWaiting;
    });
  }

  /** Sends the oldest pending operations. Returns whether there may be more. */
  async pushOnce(): Promise<boolean> {
    const sendable = await this.#sendable();
    if (sendable.length === 0) return false;
    const operations = batchOf(
      sendable.map(({ operation }) => operation),
      this.#most,
    );
    const batch = sendable.slice(0, operations.length);
    this.#underway = new Set(operations.map(({ id }) => id));
    this.#parts.onChange();
    try {
      const answer = await this.#parts.asked(() => this.#parts.server.push(operations));
      await this.#settle(batch, answer);
      // Operations from the future were not applied: re-stamped, they go once more.
      const early = new Set(
        answer.outcomes.filter(({ outcome }) => isCode(outcome, 'made_in_future')).map(({ id }) => id),
      );
      if (early.size > 0) {
        return await this.restamp(toMillis(answer.now), early);
      }
      this.#most = PUSH_LIMIT;
      this.#triesOfOne = 0;
      return answer.outcomes.length > 0 && sendable.length > batch.length;
    } catch (error) {
      return await this.#afterFailedPush(batch, error);
    } finally {
      this.#underway = new Set();
      this.#parts.onChange();
    }
  }

  async #settle(batch: readonly KeptOperation[], answer: PushAnswer): Promise<void> {
    const outcomes = new Map(answer.outcomes.map(({ id, outcome }) => [id, outcome]));
    const { fileNamedBy } = await this.#parts.rules();
    const waiting = new Set<OperationId>();
    for (const { operation } of batch) {
      const outcome = outcomes.get(operation.id);
      if (isCode(outcome, 'made_in_future')) waiting.add(operation.id);
      if (!isCode(outcome, 'file_missing') || !(await this.#parts.files.has(fileNamedBy(operation)))) continue;
      waiting.add(operation.id);
      await this.#parts.files.sendAgain(fileNamedBy(operation));
    }
    await this.#parts.store.runExclusively(async () => {
      const settled = batch.flatMap(({ operation, sequence }): KeptOperation[] => {
        const outcome = outcomes.get(operation.id);
        if (outcome === undefined || waiting.has(operation.id)) return [];
        return outcome.ok
          ? [{ operation, sequence, where: 'sent', revision: answer.revision }]
          : [
              {
                operation,
                sequence,
                where: 'rejected',
                refusal: outcome,
                wasApplied: !failedAt.includes(outcome.code),
              },
            ];
      });
      const { syncState } = this.#parts.store;
      const isRenumbered = (answer.renumbered ?? []).length > 0;
      // What is refused now is shown no more, and what was put aside and is taken after all is shown again.
      const isShownOtherwise = [...settled, ...this.#parts.store.kept].some(({ where }) => where === 'rejected');
      await this.#parts.store.write({
        keep: this.#stillPending(settled),
        ...(isRenumbered ? { syncState: { ...syncState, numbers: {} } } : {}),
      });
      if (isShownOtherwise) await this.#parts.replay();
    });
  }

  /**
   * Another window may have settled some of these meanwhile: then that holds, unless it put aside as not applied what the server has
   * taken after all.
   */
  #stillPending(settled: readonly KeptOperation[]): KeptOperation[] {
    const now = new Map(this.#parts.store.kept.map((each) => [each.operation.id, each]));
    return settled.filter(({ operation, where }) => {
      const before = now.get(operation.id);
      return before?.where === 'pending' || (where === 'sent' && before?.where === 'rejected' && !before.wasApplied);
    });
  }

  /**
   * A push that the server refuses as a whole is tried again in halves until the operation that it fails at stands
   * alone; that one is put aside for its person. What may pass by itself is left to the next try.
   */
  async #afterFailedPush(batch: readonly KeptOperation[], error: unknown): Promise<boolean> {
    if (!(error instanceof OilcanError) || isPassing(error)) throw error;
    if (batch.length > 1) {
      this.#most = Math.ceil(batch.length / 2);
      return true;
    }
    this.#triesOfOne += 1;
    if (!isAboutTheRequest(error) && this.#triesOfOne < TRIES_OF_ONE) throw error;
    this.#triesOfOne = 0;
    await this.#reject(batch, refuse(error.code, error.values));
    return true;
  }

  #reject(operations: readonly KeptOperation[], refusal: Refusal): Promise<void> {
    return this.#parts.store.runExclusively(async () => {
      const rejected = operations.map(({ operation, sequence }): KeptOperation => ({
        operation,
        sequence,
        where: 'rejected',
        refusal,
        wasApplied: false,
      }));
      await this.#parts.store.write({ keep: this.#stillPending(rejected) });
      await this.#parts.replay();
    });
  }

  /** Sends one file that pending operations wait for. Returns whether it arrived or was put aside. */
  async sendFile(passedOver: Set<FileId>): Promise<boolean> {
    const pending = this.#parts.store.kept.filter(({ where }) => where === 'pending');
    if (pending.length === 0) return false;
    const { fileNamedBy } = await this.#parts.rules();
    const wanted = pending.flatMap(({ operation }) => fileNamedBy(operation) ?? []);
    const result = await this.#parts.files.sendNext(wanted, passedOver);
    if (result === null) return false;
    this.#parts.onChange();
    if (result.refusal === null) return true;
    await this.#reject(
      pending.filter(({ operation }) => fileNamedBy(operation) === result.id),
      result.refusal,
    );
    return true;
  }

  /** Stamps anew what a clock that was ahead had stamped; tells whether there was any. */
  restamp(now: number, early: ReadonlySet<string>): Promise<boolean> {
    return this.#parts.store.runExclusively(async () => {
      const pending = this.#parts.store.kept.filter(({ where }) => where === 'pending');
      const keep = reStamped(pending, now, early);
      if (keep.length === 0) return false;
      await this.#parts.store.write({ keep });
      await this.#parts.replay();
      return true;
    });
  }
}

function isCode(outcome: Outcome | undefined, code: ErrorCode): boolean {
  return outcome !== undefined && !outcome.ok && outcome.code === code;
}
