import {
  applyOperation,
  isCarried,
  MemoryRecords,
  OilcanError,
  PUSH_LIMIT,
  StagedRecords,
  type ArgsOf,
  type Change,
  type Instant,
  type Operation,
  type OperationId,
  type OperationName,
  type Outcome,
  type Person,
  type TableName,
} from '@oilcan/core';
import { sameRow } from './same-row';
import type { KeptOperation } from './kept-operation';
import { nowhere, type Bearings, type Loaded, type LocalDatabase } from './local-database';
import { Unreachable, type ServerLink } from './server-link';

/** What a phone is made of; all of it can be simulated. */
export interface PhoneParts {
  readonly database: LocalDatabase;
  readonly server: ServerLink;
  /** Names this device in every operation. */
  readonly device: string;
  readonly now: () => Instant;
  /** The device's time with its offset, ISO 8601. */
  readonly deviceTime: () => string;
  readonly newOperationId: () => OperationId;
  /** Called after anything changed that somebody may be looking at. */
  readonly onChange: () => void;
}

/** How the last talk with the server went. */
export type Contact = 'unknown' | 'reached' | 'no-signal' | 'signed-out';

/**
 * The phone's side of synchronization, without a screen.
 *
 * It shows the server's rows with its own operations applied on top. It never merges: when rows come, it takes back
 * what its operations did, puts the new rows in, and applies the operations again.
 */
export class Phone {
  /** What the person sees. */
  readonly view = new MemoryRecords();
  #bearings: Bearings = nowhere;
  #kept: KeptOperation[] = [];
  /** Rows of the server that our operations have changed in `view`, as the server gave them. */
  #covered = new Map<string, Change>();
  #contact: Contact = 'unknown';
  #nextSequence = 1;
  #queue: Promise<unknown> = Promise.resolve();
  #synchronizing: Promise<void> | null = null;
  #isAgainWanted = false;
  readonly #parts: PhoneParts;

  constructor(parts: PhoneParts) {
    this.#parts = parts;
  }

  get person(): Person | null {
    return this.#bearings.person;
  }

  /** Every operation that this phone still answers for, in the order it was made. */
  get kept(): readonly KeptOperation[] {
    return this.#kept;
  }

  get contact(): Contact {
    return this.#contact;
  }

  /** Whether rows of the server have ever arrived. */
  get hasRows(): boolean {
    return this.#bearings.revision > 0;
  }

  /** Opens what the phone kept. */
  async open(): Promise<void> {
    await this.#inTurn(async () => {
      const { bearings, rows, kept } = await this.#loadWhole();
      this.#bearings = bearings;
      this.#kept = [...kept];
      this.#nextSequence = Math.max(0, ...kept.map((each) => each.sequence)) + 1;
      this.view.clear();
      this.#covered.clear();
      this.view.change(rows);
      await this.#replay([]);
    });
    this.#parts.onChange();
  }

  /** What the phone kept; rows of a first filling that was cut short are left, and it begins anew. */
  async #loadWhole(): Promise<Loaded> {
    const loaded = await this.#parts.database.load();
    if (!loaded.bearings.isFilling || loaded.bearings.revision === 0) return loaded;
    const bearings = { ...nowhere, person: loaded.bearings.person };
    await this.#parts.database.takeRows({ changes: [], bearings, isWhole: true, arrived: [] });
    return { ...loaded, bearings, rows: [] };
  }

  /** Somebody signed in here. What another person left is removed; it was sent, or its loss agreed to, at sign-out. */
  async signIn(person: Person): Promise<void> {
    await this.#inTurn(async () => {
      if (this.#bearings.person?.id === person.id) {
        this.#bearings = { ...this.#bearings, person };
        await this.#parts.database.takeRows({ changes: [], bearings: this.#bearings, isWhole: false, arrived: [] });
      } else {
        await this.#clear({ ...nowhere, person });
      }
      this.#contact = 'unknown';
    });
    this.#parts.onChange();
  }

  async signOut(): Promise<void> {
    await this.#inTurn(() => this.#clear(nowhere));
    this.#parts.onChange();
  }

  /**
   * Does what the person asked: judges it here, keeps it, and shows it. What is refused here leaves no trace.
   * Sending it is left to `synchronize`.
   */
  async perform<N extends OperationName>(name: N, args: ArgsOf<N>): Promise<Outcome> {
    const outcome = await this.#inTurn(async (): Promise<Outcome> => {
      const person = this.#bearings.person;
      if (person === null) throw new OilcanError('not_signed_in');
      const operation: Operation = {
        id: this.#parts.newOperationId(),
        name,
        args,
        at: this.#parts.deviceTime(),
        by: person.id,
        device: this.#parts.device,
      };
      const applied = await applyOperation(this.view, operation, person, this.#parts.now());
      if (!applied.outcome.ok) return applied.outcome;
      const kept: KeptOperation = { operation, sequence: this.#nextSequence, where: 'pending' };
      await this.#parts.database.keep([kept]);
      this.#nextSequence += 1;
      this.#kept = [...this.#kept, kept];
      this.#cover(applied.changes);
      this.view.change(applied.changes);
      return applied.outcome;
    });
    this.#parts.onChange();
    return outcome;
  }

  /** Drops an operation that the server refused. */
  async dropRejected(operationId: OperationId): Promise<void> {
    await this.#inTurn(async () => {
      const dropped = this.#kept.filter((each) => each.operation.id === operationId && each.where === 'rejected');
      await this.#parts.database.forget(dropped.map((each) => each.operation.id));
      this.#kept = this.#kept.filter((each) => !dropped.includes(each));
    });
    this.#parts.onChange();
  }

  /** Sends what is pending and fetches what is new. Calls that come while it runs make it run once more. */
  synchronize(): Promise<void> {
    if (this.#synchronizing !== null) {
      this.#isAgainWanted = true;
      return this.#synchronizing;
    }
    this.#synchronizing = this.#synchronizeUntilQuiet().finally(() => {
      this.#synchronizing = null;
    });
    return this.#synchronizing;
  }

  async #synchronizeUntilQuiet(): Promise<void> {
    do {
      this.#isAgainWanted = false;
      try {
        while (await this.#pushOnce());
        while (await this.#pullOnce());
        await this.#letGo();
        this.#contact = 'reached';
      } catch (error) {
        this.#contact = contactAfter(error);
        this.#parts.onChange();
        // Somebody may have called while this was failing, for instance because the signal had just come back.
        if (!this.#isAgainWanted) return;
        continue;
      }
      this.#parts.onChange();
    } while (this.#isAgainWanted);
  }

  /** Sends the oldest pending operations. Returns whether there may be more. */
  async #pushOnce(): Promise<boolean> {
    const batch = this.#kept.filter((each) => each.where === 'pending').slice(0, PUSH_LIMIT);
    if (batch.length === 0) return false;
    const answer = await this.#parts.server.push(batch.map((each) => each.operation));
    await this.#inTurn(async () => {
      const outcomes = new Map(answer.outcomes.map(({ id, outcome }) => [id, outcome]));
      const settled = batch.flatMap(({ operation, sequence }): KeptOperation[] => {
        const outcome = outcomes.get(operation.id);
        if (outcome === undefined) return [];
        return outcome.ok
          ? [{ operation, sequence, where: 'sent', revision: answer.revision }]
          : [{ operation, sequence, where: 'rejected', refusal: outcome }];
      });
      await this.#parts.database.keep(settled);
      const byId = new Map(settled.map((each) => [each.operation.id, each]));
      this.#kept = this.#kept.map((each) => byId.get(each.operation.id) ?? each);
      if (settled.some((each) => each.where === 'rejected')) await this.#replay([]);
    });
    this.#parts.onChange();
    return answer.outcomes.length > 0 && batch.length === PUSH_LIMIT;
  }

  /** Fetches one page. Returns whether there is another. */
  async #pullOnce(): Promise<boolean> {
    const { revision, scope } = this.#bearings;
    let { isFilling } = this.#bearings;
    let answer = await this.#parts.server.pull(revision, isFilling);
    const isOtherScope = scope !== '' && answer.scope !== scope;
    if (isOtherScope) {
      isFilling = true;
      answer = await this.#parts.server.pull(0, isFilling);
    }
    return this.#inTurn(async () => {
      if (this.#bearings.revision !== revision || this.#bearings.person === null) return true;
      const bearings: Bearings = {
        ...this.#bearings,
        revision: answer.revision,
        isFilling: isFilling && answer.hasMore,
        scope: answer.scope,
      };
      // Operations whose rows have come from the server need not be applied on top any more.
      const arrived = this.#kept.filter((each) => each.where === 'sent' && each.revision <= answer.revision);
      const isNews = answer.changes.length > 0 || arrived.length > 0 || isFilling;
      if (!isNews && answer.revision === revision && answer.scope === scope) return false;
      const changes = this.#withTheirRows(answer.changes);
      await this.#parts.database.takeRows({
        changes,
        bearings,
        isWhole: isOtherScope,
        arrived: arrived.map((each) => each.operation.id),
      });
      this.#bearings = bearings;
      this.#kept = this.#kept.filter((each) => !arrived.includes(each));
      if (isOtherScope) {
        this.view.clear();
        this.#covered.clear();
      }
      await this.#replay(changes);
      return answer.hasMore;
    });
  }

  /** Removes work that ended a while ago, as the server no longer gives it to a new phone either. */
  async #letGo(): Promise<void> {
    const now = this.#parts.now();
    const ended = this.view.peekAll('workOrders').filter((work) => !isCarried(work, now));
    if (ended.length === 0) return;
    await this.#inTurn(async () => {
      const changes = this.#withTheirRows(ended.map(({ id }) => removal('workOrders', id)));
      await this.#parts.database.takeRows({ changes, bearings: this.#bearings, isWhole: false, arrived: [] });
      await this.#replay(changes);
    });
  }

  /** A work order that goes takes its steps, entries and acknowledgements with it. */
  #withTheirRows(changes: readonly Change[]): Change[] {
    return changes.flatMap((change) => {
      if (change.table !== 'workOrders' || change.row !== null) return [change];
      const rows = (['steps', 'entries', 'acknowledgements'] as const).flatMap((table) =>
        this.view.peekList(table, 'workOrder', change.id).map((row) => removal(table, row.id)),
      );
      return [change, ...rows];
    });
  }

  /** Puts the server's rows back, takes in new ones, and applies our operations again; shows only what differs. */
  async #replay(arrived: readonly Change[]): Promise<void> {
    const base = new StagedRecords(this.view);
    base.absorb([...this.#covered.values()]);
    base.absorb(arrived);
    const person = this.#bearings.person;
    const covered = new Map<string, Change>();
    const ours = person === null ? [] : this.#kept.filter((each) => each.where !== 'rejected');
    for (const { operation } of ours) {
      if (person === null) break;
      const { changes } = await applyOperation(base, operation, person, this.#parts.now());
      for (const change of changes) {
        const key = `${change.table}/${change.id}`;
        if (covered.has(key)) continue;
        const row = (await base.get(change.table, change.id)) ?? null;
        covered.set(key, { table: change.table, id: change.id, row } as Change);
      }
      base.absorb(changes);
    }
    this.#covered = covered;
    const differing = base.changes().filter((change) => !sameRow(this.view.peek(change.table, change.id), change.row));
    this.view.change(differing);
  }

  /** Remembers the server's rows that these changes are about to hide. */
  #cover(changes: readonly Change[]): void {
    for (const { table, id } of changes) {
      const key = `${table}/${id}`;
      if (this.#covered.has(key)) continue;
      this.#covered.set(key, { table, id, row: this.view.peek(table, id) ?? null } as Change);
    }
  }

  async #clear(bearings: Bearings): Promise<void> {
    await this.#parts.database.wipe(bearings);
    this.#bearings = bearings;
    this.#kept = [];
    this.#covered.clear();
    this.view.clear();
    this.#contact = 'unknown';
  }

  /** One thing after another: whatever reads and then writes must not be overtaken. */
  #inTurn<T>(task: () => Promise<T>): Promise<T> {
    const run = this.#queue.then(task);
    this.#queue = run.catch(() => undefined);
    return run;
  }
}

function removal(table: TableName, id: string): Change {
  return { table, id, row: null };
}

function contactAfter(error: unknown): Contact {
  if (error instanceof Unreachable) return 'no-signal';
  if (error instanceof OilcanError && error.status === 401) return 'signed-out';
  if (error instanceof OilcanError) return 'no-signal';
  throw error;
}
