import {
  OilcanError,
  toMillis,
  type FileId,
  type Instant,
  type OperationId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import {
  accepted,
  refuse,
  type Result,
  type NextOn,
  type Operation,
  type Outcome,
  type Refusal,
  type Side,
} from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { Change, MemoryRecords } from '@oilcan/core/records';
import type { ArgsOf, OperationName } from '@oilcan/core/registry/operations';
import { DeviceClock, type DeviceClocks, type Revision, type PullAnswer, type PushAnswer } from '@oilcan/core/sync';
import { contactAfter, isForeseen, type Contact } from './contact';
import { FileQueue } from './file-queue';
import type { KeptOperation } from '../database/kept-operation';
import { nowhere, refusalOf, StorageFailed, type LocalDatabase } from '../database/local-database';
import { Unreachable, type ServerLink } from '../server/server-link';
import { Overlay } from './overlay';
import type { Rules } from '../rules/rules';
import { receiving, type Receiving } from './receiving';
import { Sending } from './sending';
import { LocalStore } from '../database/local-store';
import type { LaterTablesCode } from './later-tables';
import { reservedNumbers, type ReservedNumbers } from './reserved-numbers';
import type { OtherWindows } from '../database/other-windows';

/** What a phone is made of; all of it can be simulated. */
export interface PhoneParts {
  readonly database: LocalDatabase;
  readonly server: ServerLink;
  /** Names this phone in every operation, where it has no name yet. */
  readonly newDevice: string;
  readonly clocks: DeviceClocks;
  /** The device's time with its offset, ISO 8601, from its milliseconds. */
  readonly deviceTime: (milliseconds: number) => string;
  /** A UUID of version 7 for these corrected milliseconds. */
  readonly newOperationId: (milliseconds: number) => OperationId;
  readonly others: OtherWindows;
  /** What operations do; rejects with `Unreachable` as long as the phone cannot get it. */
  readonly rules: () => Promise<Rules>;
  /** What fetches what came with later versions of the protocol. */
  readonly laterTables: () => Promise<LaterTablesCode>;
  /** What finds the dates of plans; null as long as the phone has not got it. */
  readonly planDates: () => NextOn | null;
  /** Called after anything changed that somebody may be looking at. */
  readonly onChange: () => void;
  /** Synchronizing failed in a way that nobody foresaw; it counts as trouble of the server, and is tried again. */
  readonly onUnforeseen: (error: unknown) => void;
}

/**
 * The phone's side of synchronization, without a screen.
 *
 * It shows the server's rows with its own operations applied on top. It never merges: when rows come, it takes back
 * what its operations did, puts the new rows in, and applies the operations again. What it keeps is shared with other
 * windows of the same browser: every write says on which one before it was made, and one that was overtaken is made again.
 */
export class Phone {
  readonly clock: DeviceClock;
  readonly #overlay = new Overlay();
  readonly #store: LocalStore;
  readonly #sending: Sending;
  readonly #receiving: Receiving;
  readonly #numbers: ReservedNumbers;
  #contact: Contact = 'unknown';
  /** Photos and the like; one is kept before the operation that names it is performed. */
  readonly files: FileQueue;
  #synchronizing: Promise<void> | null = null;
  #isAgainWanted = false;
  readonly #parts: PhoneParts;

  constructor(parts: PhoneParts) {
    this.#parts = parts;
    this.clock = new DeviceClock(parts.clocks);
    this.files = new FileQueue(parts.database, parts.server);
    this.#store = new LocalStore({
      ...parts,
      clock: this.clock,
      onReload: async (rows) => {
        await this.files.load();
        this.#overlay.begin(rows);
        await this.#replay([]);
      },
      onHeard: async ({ keep = [], changes = [] }) => {
        if (keep.length > 0) {
          const { fileNamedBy } = await parts.rules();
          for (const { operation } of keep) await this.files.has(fileNamedBy(operation));
        }
        await this.#replay(changes);
      },
    });
    this.#numbers = reservedNumbers(this.#store, parts.rules);
    this.#receiving = receiving({
      store: this.#store,
      overlay: this.#overlay,
      server: parts.server,
      numbers: this.#numbers,
      device: () => this.#device,
      laterTables: parts.laterTables,
      asked: (ask) => this.#asked(ask),
      replay: (arrived) => this.#replay(arrived),
    });
    this.#sending = new Sending({
      store: this.#store,
      files: this.files,
      server: parts.server,
      rules: parts.rules,
      asked: (ask) => this.#asked(ask),
      replay: () => this.#replay([]),
      onChange: parts.onChange,
    });
  }

  /** What the person sees. */
  get view(): MemoryRecords {
    return this.#overlay.view;
  }

  get person(): Person | null {
    return this.#store.person;
  }

  /** Every operation of the person that this phone still answers for, in the order it was made. */
  get kept(): readonly KeptOperation[] {
    return this.#store.kept;
  }

  /** The pending operations that are on their way just now. */
  get sending(): ReadonlySet<OperationId> {
    return this.#sending.underway;
  }

  get contact(): Contact {
    return this.#contact;
  }

  /** When the server was last heard in full, by its own clock. */
  get heardAt(): Instant {
    return this.#store.syncState.knownUntil;
  }

  /** Up to which revision its rows go. */
  get readUpTo(): Revision {
    return this.#store.syncState.revision;
  }

  /** Whether rows of the server have ever arrived. */
  get hasRows(): boolean {
    return this.#store.syncState.revision > 0;
  }

  /** Opens what the phone kept. */
  async open(): Promise<void> {
    await this.#store.runExclusively(async () => {
      await this.#store.reload();
      // Rows of a first filling that was cut short are left, and it begins anew.
      if (!this.#store.syncState.isFilling || this.#store.syncState.revision === 0) return;
      await this.#store.write({ isWhole: true, syncState: { ...nowhere, device: this.#device, person: this.person } });
      await this.#store.reload();
    });
    this.#parts.onChange();
  }

  /** Somebody signed in here. What another person left unsent stays on this phone for that person alone. */
  async signIn(person: Person): Promise<void> {
    await this.#store.runExclusively(async () => {
      if (this.person?.id === person.id) await this.#store.write({ syncState: { ...this.#store.syncState, person } });
      else await this.#beginAs(person);
    });
    this.#contact = 'unknown';
    this.#parts.onChange();
  }

  /** Rows go; what is unsent stays for its person, who may sign in here again. */
  async signOut(): Promise<void> {
    await this.#store.runExclusively(() => this.#beginAs(null));
    this.#contact = 'unknown';
    this.#parts.onChange();
  }

  async #beginAs(person: Person | null): Promise<void> {
    const forget = this.#store.everybodys.filter(({ where }) => where === 'sent').map(({ operation }) => operation.id);
    await this.#store.write({ forget, isWhole: true, syncState: { ...nowhere, device: this.#device, person } });
    await this.#store.reload();
  }

  /**
   * Does what the person asked: applies it here, keeps it, and shows it. What is refused here, or cannot be kept,
   * leaves no trace. Sending it is left to `synchronize`.
   */
  async perform<N extends OperationName>(name: N, args: ArgsOf<N>): Promise<Outcome> {
    const made = await this.performMaking(name, args);
    return made.ok ? accepted : made;
  }

  /** As `perform`; gives the id of the operation, which is also that of what it makes. */
  async performMaking<N extends OperationName>(name: N, args: ArgsOf<N>): Promise<Result<OperationId>> {
    return this.#perform(name, args, null);
  }

  /**
   * Makes a refused operation anew with other arguments, in place of the refused one; one that the server only failed
   * at goes again as it was. What was recorded keeps the time at which it was first made; a change of state or of a
   * clock happens now.
   */
  async mend(id: OperationId, args: unknown): Promise<Outcome> {
    const rejected = this.kept.find(({ operation, where }) => operation.id === id && where === 'rejected');
    if (rejected?.where !== 'rejected') return refuse('not_found', { what: 'record' });
    if (!rejected.wasApplied) return this.#sendAgain(rejected);
    const made = await this.#perform(rejected.operation.name, args, rejected.operation);
    return made.ok ? accepted : made;
  }

  /** The server has not applied it, or that is not known: the same operation goes once more, and counts once. */
  async #sendAgain({ operation, sequence }: KeptOperation): Promise<Outcome> {
    const outcome = await this.#orRefusal(async () => {
      await this.#store.write({ keep: [{ operation, sequence, where: 'pending' }] });
      await this.#replay([]);
      return accepted;
    });
    this.#parts.onChange();
    return outcome;
  }

  /** In turn; what cannot be kept, or for which the rules have not come, is refused with the reason. */
  #orRefusal<T>(task: () => Promise<T>): Promise<T | Refusal> {
    return this.#store.runExclusively(task).catch((error: unknown) => {
      if (error instanceof StorageFailed) return refusalOf(error);
      if (error instanceof Unreachable) return refuse('not_loaded');
      throw error;
    });
  }

  async #perform(name: string, args: unknown, mended: Operation | null): Promise<Result<OperationId>> {
    const made = await this.#orRefusal<Result<OperationId>>(async () => {
      const person = this.person;
      if (person === null) throw new OilcanError('not_signed_in');
      const { operationNamed, applyOperation } = await this.#parts.rules();
      const keepsTime = mended !== null && operationNamed(name)?.correct.keepsTime === true;
      const operation = this.#newOperation(
        name,
        await this.#numbers.numbered(name, args),
        person,
        keepsTime ? mended : null,
      );
      const applied = await applyOperation(this.view, operation, person, this.#side);
      if (!applied.outcome.ok) return applied.outcome;
      const kept: KeptOperation = { operation, sequence: this.#store.nextSequence, where: 'pending' };
      await this.#store.write({ keep: [kept], forget: mended === null ? [] : [mended.id] });
      this.#overlay.lay(applied.changes);
      return { ok: true, value: operation.id };
    });
    this.#parts.onChange();
    return made;
  }

  /** Kept in one write with the numbers that are lent to it. */
  get #device(): string {
    return this.#store.syncState.device ?? this.#parts.newDevice;
  }

  /** @param before of which it keeps the time; null for one that happens now */
  #newOperation(name: string, args: unknown, person: Person, before: Operation | null): Operation {
    const { deviceTime, ahead } = this.clock.stamp();
    return {
      id: this.#parts.newOperationId(deviceTime - ahead),
      name,
      args,
      at: before?.at ?? this.#parts.deviceTime(deviceTime),
      ahead: before?.ahead ?? ahead,
      ...this.#known(before),
      by: person.id,
      device: this.#device,
    };
  }

  /** Up to when and to which revision its person could know what others did; of what is made anew, as it was then. */
  #known(before: Operation | null): Pick<Operation, 'knownUntil' | 'seenRevision'> {
    const { knownUntil, seenRevision } = before ?? this.#store.syncState;
    return seenRevision == null ? { knownUntil } : { knownUntil, seenRevision };
  }

  /** Looks up a work order that this phone does not carry whole. Rejects when there is no signal. */
  async lookUp(id: WorkOrderId): Promise<void> {
    const { changes } = await this.#parts.server.work(id);
    await this.#store.runExclusively(async () => this.#overlay.showForNow(changes));
    this.#parts.onChange();
  }

  /** Drops an operation that the server refused. */
  async dropRejected(id: OperationId): Promise<void> {
    await this.#store.runExclusively(async () => {
      if (!this.kept.some(({ operation, where }) => operation.id === id && where === 'rejected')) return;
      await this.#store.write({ forget: [id] });
    });
    this.#parts.onChange();
  }

  /** Whether it is sending and fetching just now. */
  get isSynchronizing(): boolean {
    return this.#synchronizing !== null;
  }

  /** Sends what is pending and fetches what is new. Calls that come while it runs make it run once more. */
  synchronize(): Promise<void> {
    if (this.#synchronizing !== null) {
      this.#isAgainWanted = true;
      return this.#synchronizing;
    }
    const once = (): Promise<void> => this.#synchronizeUntilQuiet();
    this.#synchronizing = this.#parts.others.alone(once).finally(() => {
      this.#synchronizing = null;
    });
    return this.#synchronizing;
  }

  async #synchronizeUntilQuiet(): Promise<void> {
    do {
      this.#isAgainWanted = false;
      try {
        while (await this.#sending.pushOnce());
        while (await this.#receiving.pullOnce());
        await this.#receiving.fetchLaterTables();
        // Small records go before large files; what a file held up goes after it.
        const passedOver = new Set<FileId>();
        while (await this.#sending.sendFile(passedOver)) {
          while (await this.#sending.pushOnce());
          while (await this.#receiving.pullOnce());
        }
        await this.#evict();
        this.#contact = passedOver.size === 0 ? 'reached' : 'server-trouble';
      } catch (error) {
        if (!isForeseen(error)) this.#parts.onUnforeseen(error);
        this.#contact = contactAfter(error);
        this.#parts.onChange();
        // Somebody may have called while this was failing, for instance because the signal had just come back.
        if (!this.#isAgainWanted) return;
        continue;
      }
      this.#parts.onChange();
    } while (this.#isAgainWanted);
  }

  /** Removes work that ended a while ago, as the server no longer gives it to a new phone either. */
  async #evict(): Promise<void> {
    await this.#store.runExclusively(async () => {
      // By the server's time, which no setting of this device's clock can move.
      const changes = this.#overlay.outlived(this.#store.syncState.knownUntil);
      if (changes.length === 0) return;
      await this.#store.write({ changes });
      await this.#replay(changes);
    });
    await this.files.tidy(await this.#filesNamed(), this.clock.now());
  }

  /** The files that operations of this phone name. */
  async #filesNamed(): Promise<FileId[]> {
    const { everybodys } = this.#store;
    if (everybodys.length === 0) return [];
    const { fileNamedBy } = await this.#parts.rules();
    return everybodys.flatMap(({ operation }) => fileNamedBy(operation) ?? []);
  }

  /** Asks the server, and measures the device's clock by its answer. */
  async #asked<Answer extends PullAnswer | PushAnswer>(ask: () => Promise<Answer>): Promise<Answer> {
    const askedAt = this.#parts.clocks.wall();
    const answer = await ask();
    const answeredAt = this.#parts.clocks.wall();
    const serverTime = toMillis(answer.now);
    if (this.clock.measured({ askedAt, answeredAt, serverTime })) {
      await this.#sending.restamp(serverTime, new Set());
    }
    return answer;
  }

  #replay(arrived: readonly Change[]): Promise<void> {
    return this.#overlay.replay(arrived, this.kept, this.person, this.#side, this.#parts.rules);
  }

  /** A phone gives no numbers but those that the server lent it, which its operations bring. */
  get #side(): Side {
    return { now: this.clock.now(), newNumber: null, revision: null, nextOn: this.#parts.planDates() };
  }
}
