import { instantFromMillis, OilcanError, toMillis, type FileId, type Instant } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import type { PullAnswer, PushAnswer } from '@oilcan/core/sync';
import {
  freshDatabase,
  DueWork,
  keepSmall,
  mayNameFile,
  noteFile,
  numbersOf,
  pull,
  PushQueue,
  readWork,
  SqlRecords,
} from '@oilcan/server/testing';
import type { Knex } from 'knex';
import { Unreachable, type FileAnswer, type PullQuestion, type ServerLink } from '../app/src/data/server/server-link';
import type { MessageFate } from './history';

/** Small pages, so that answers are cut in the middle of what belongs together. */
const PAGE_ROWS = 7;
const ALL_ROWS = Number.MAX_SAFE_INTEGER - 1;

/** The server's real side on a real database in memory, behind a network on which everything can go wrong. */
export class SimulatedServer {
  readonly database: Knex;
  /** Every operation that was ever acknowledged as accepted by a commit. */
  readonly accepted = new Set<string>();
  /** The protocol it speaks. */
  protocol = 1;
  readonly #now: () => Instant;
  readonly #pushes: PushQueue;
  readonly #received = new Map<string, number>();
  readonly #lateCopies: (() => Promise<unknown>)[] = [];

  private constructor(database: Knex, now: () => Instant) {
    this.database = database;
    this.#now = now;
    this.#pushes = new PushQueue(database, () => toMillis(now()));
  }

  static async start(rows: readonly Change[], now: () => Instant): Promise<SimulatedServer> {
    const database = await freshDatabase();
    await database.transaction((transaction) => new SqlRecords(transaction).write(rows));
    return new SimulatedServer(database, now);
  }

  /** A person's line to it; `nextFate` says what becomes of each message. */
  linkOf(person: Person, protocol: number, nextFate: () => MessageFate): ServerLink {
    const deliver = <Answer>(message: () => Promise<Answer>): Promise<Answer> =>
      this.#deliver(nextFate(), async () => {
        if (protocol < this.protocol) throw new OilcanError('protocol_older');
        if (protocol > this.protocol) throw new OilcanError('protocol_newer');
        return message();
      });
    return {
      push: (operations) => deliver(() => this.#push(person, operations)),
      pull: (question) => deliver(() => this.#pull(person, question)),
      work: (id) => deliver(() => readWork(this.database, person, id)),
      received: (id) => deliver(() => this.#fileAnswer(id, person)),
      sendPiece: (id, from, total, piece) => deliver(() => this.#take(id, from, total, piece.length, person)),
    };
  }

  async #pull(person: Person, { device, tablesAfter, ...question }: PullQuestion): Promise<PullAnswer> {
    const asked = { ...question, pageRows: PAGE_ROWS, ...(tablesAfter === null ? {} : { tablesAfter }) };
    const answer = await pull(this.database, person, asked, () => toMillis(this.#now()));
    if (answer.hasMore || device === null) return answer;
    return { ...answer, numbers: await numbersOf(this.database, device, person, answer.now) };
  }

  /** All that the person may see, on one page, so that paging is checked against something other than itself. */
  everything(person: Person): Promise<PullAnswer> {
    return pull(this.database, person, { since: 0, isFilling: true, pageRows: ALL_ROWS }, () => toMillis(this.#now()));
  }

  /** What the server does by itself as time passes; each time as one that has just been started. */
  async watch(): Promise<void> {
    const bad = (plan: { readonly id: string }): never => {
      throw new Error(`${plan.id} cannot be computed.`);
    };
    await new DueWork(this.database, bad).make(toMillis(this.#now()));
    await keepSmall(this.database, toMillis(this.#now()), () => Promise.resolve());
  }

  /** Copies of earlier messages that took a long way round. */
  async deliverLateCopies(): Promise<void> {
    for (const copy of this.#lateCopies.splice(0)) await copy().catch(onlyOurs);
  }

  async #push(person: Person, operations: readonly Operation[]): Promise<PushAnswer> {
    const { answer } = await this.#pushes.push({ person, operations });
    for (const { id, outcome } of answer.outcomes) if (outcome.ok) this.accepted.add(id);
    return answer;
  }

  async #fileAnswer(id: FileId, person: Person): Promise<FileAnswer> {
    const isWhole = await mayNameFile(this.database, id, person);
    return { received: this.#received.get(`${person.id} ${id}`) ?? 0, isWhole };
  }

  async #take(id: FileId, from: number, total: number, bytes: number, person: Person): Promise<FileAnswer> {
    const key = `${person.id} ${id}`;
    const received = this.#received.get(key) ?? 0;
    const answer = await this.#fileAnswer(id, person);
    if (answer.isWhole) return answer;
    if (from !== received) throw new OilcanError('file_piece_out_of_place', { received });
    this.#received.set(key, received + bytes);
    if (received + bytes === total) {
      const file = { id, mediaType: 'image/jpeg', bytes: total, receivedAt: instantFromMillis(0) };
      await noteFile(this.database, file, person.id);
    }
    return this.#fileAnswer(id, person);
  }

  async #deliver<Answer>(fate: MessageFate, message: () => Promise<Answer>): Promise<Answer> {
    switch (fate) {
      case 'arrives':
        return message();
      case 'lost':
      case 'server dies before commit':
        // A transaction that does not reach its commit leaves nothing, just as a message that never came.
        throw new Unreachable();
      case 'server fails':
        throw new OilcanError('unexpected');
      case 'server has no space':
        throw new OilcanError('no_space');
      case 'answer lost':
      case 'server dies after commit':
        await message();
        throw new Unreachable();
      case 'doubled':
        await message();
        return message();
      case 'doubled late':
        this.#lateCopies.push(message);
        return message();
    }
  }
}

/** Nobody waits for the answer to a late copy, whatever it is. */
function onlyOurs(error: unknown): void {
  if (!(error instanceof OilcanError)) throw error;
}
