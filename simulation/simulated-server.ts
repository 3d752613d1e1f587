import { addMinutes, instantFromMillis, OilcanError, toMillis, type FileId, type Instant } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import type { PullAnswer, PushAnswer } from '@oilcan/core/sync';
import {
  freshDatabase,
  DueWork,
  isOnPostgres,
  keepSmall,
  mayNameFile,
  noteFile,
  openSession,
  pull,
  SESSION_COOKIE,
  SqlRecords,
} from '@oilcan/server/testing';
import { openPhoneDoor, type PhoneDoor } from '@oilcan/server/testing/phone-door';
import type { Knex } from 'knex';
import { httpLink } from '../app/src/data/server/http-link';
import { Unreachable, type FileAnswer, type ServerLink } from '../app/src/data/server/server-link';
import type { MessageFate } from './history';
import { speakOver } from './speaking';

/** Small pages, so that answers are cut in the middle of what belongs together. */
const PAGE_ROWS = 7;
const ALL_ROWS = Number.MAX_SAFE_INTEGER - 1;

/** Several share a database where that is PostgreSQL. */
const SERVERS = isOnPostgres ? 2 : 1;

/**
 * The server's own routes on a real database, asked by the application's own line, over a network on which everything can go
 * wrong. Files alone are stood in for.
 */
export class SimulatedServer {
  readonly database: Knex;
  /** Every operation that was ever acknowledged as accepted by a commit. */
  readonly accepted = new Set<string>();
  /** The protocol it speaks. */
  protocol = 1;
  /** The minutes that its clock was ever set ahead, or back; the last holds. */
  readonly #ahead: number[] = [];
  readonly #now: () => Instant;
  readonly #right: () => Instant;
  #doors: readonly PhoneDoor[] = [];
  readonly #sessions = new Map<string, string>();
  #asked = 0;
  readonly #received = new Map<string, number>();
  readonly #lateCopies: (() => Promise<unknown>)[] = [];

  private constructor(database: Knex, now: () => Instant) {
    this.database = database;
    this.#now = () => addMinutes(now(), this.#ahead.at(-1) ?? 0);
    this.#right = now;
  }

  static async start(rows: readonly Change[], now: () => Instant): Promise<SimulatedServer> {
    const database = await freshDatabase();
    await database.transaction((transaction) => new SqlRecords(transaction).write(rows));
    const server = new SimulatedServer(database, now);
    const clock = (): number => toMillis(server.#now());
    server.#doors = await Promise.all(
      Array.from({ length: SERVERS }, () => openPhoneDoor(database, { clock, pageRows: PAGE_ROWS })),
    );
    return server;
  }

  async close(): Promise<void> {
    await Promise.all(this.#doors.map((door) => door.close()));
    await this.database.destroy();
  }

  setClock(ahead: number): void {
    this.#ahead.push(ahead);
  }

  get hasSetClock(): boolean {
    return this.#ahead.length > 0;
  }

  /** The latest that its clock can have said until now. */
  latest(): Instant {
    return addMinutes(this.#right(), Math.max(0, ...this.#ahead));
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
      pull: (question) => deliver(() => this.#as(person, () => httpLink.pull(question))),
      work: (id) => deliver(() => this.#as(person, () => httpLink.work(id))),
      received: (id) => deliver(() => this.#fileAnswer(id, person)),
      sendPiece: (id, from, total, piece) => deliver(() => this.#take(id, from, total, piece.length, person)),
    };
  }

  /** Asks over HTTP in this person's session, of each server in turn. */
  async #as<Answer>(person: Person, work: () => Promise<Answer>): Promise<Answer> {
    const cookie = `${SESSION_COOKIE}=${await this.#sessionOf(person)}`;
    return speakOver(async (path, init) => {
      const door = this.#doors[(this.#asked += 1) % this.#doors.length];
      if (door === undefined) throw new Error('There is no server.');
      const answer = await door.inject({
        url: path,
        method: init.method === 'POST' ? 'POST' : 'GET',
        headers: { ...(init.headers as Record<string, string>), cookie },
        ...(init.body === undefined ? {} : { payload: bytesOf(init.body) }),
      });
      return new Response(new Uint8Array(answer.rawPayload), { status: answer.statusCode });
    }, work);
  }

  async #sessionOf({ id }: Person): Promise<string> {
    const open = this.#sessions.get(id) ?? (await openSession(this.database, id, 'simulated', toMillis(this.#now())));
    this.#sessions.set(id, open);
    return open;
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
    const answer = await this.#as(person, () => httpLink.push(operations));
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

const bytesOf = (body: RequestInit['body']): Buffer | string =>
  typeof body === 'string' ? body : Buffer.from(body as ArrayBuffer);
