import {
  toMillis,
  type Change,
  type Instant,
  type Operation,
  type Person,
  type PullAnswer,
  type PushAnswer,
} from '@oilcan/core';
import { openDatabase, pull, push, SqlRecords } from '@oilcan/server';
import type { Knex } from 'knex';
import { Unreachable, type ServerLink } from '../app/src/data/server-link';
import type { MessageFate } from './history';

/** Small pages, so that answers are cut in the middle of what belongs together. */
const PAGE_ROWS = 7;

/** The server's real side on a real database in memory, behind a network on which everything can go wrong. */
export class SimulatedServer {
  readonly database: Knex;
  /** Every operation that was ever acknowledged as accepted by a commit. */
  readonly accepted = new Set<string>();
  readonly #now: () => Instant;
  readonly #lateCopies: (() => Promise<unknown>)[] = [];

  private constructor(database: Knex, now: () => Instant) {
    this.database = database;
    this.#now = now;
  }

  static async start(rows: readonly Change[], now: () => Instant): Promise<SimulatedServer> {
    const database = await openDatabase(':memory:');
    await database.transaction((transaction) => new SqlRecords(transaction).write(rows));
    return new SimulatedServer(database, now);
  }

  /** A person's line to it; `nextFate` says what becomes of each message. */
  linkOf(person: Person, nextFate: () => MessageFate): ServerLink {
    return {
      push: (operations) => this.#deliver(nextFate(), () => this.#push(person, operations)),
      pull: (since, isFilling) => this.#deliver(nextFate(), () => this.#pull(person, since, isFilling)),
    };
  }

  #pull(person: Person, since: number, isFilling: boolean): Promise<PullAnswer> {
    return pull(this.database, person, since, isFilling, toMillis(this.#now()), PAGE_ROWS);
  }

  /** All that the person may see, on one page, so that paging is checked against something other than itself. */
  everything(person: Person): Promise<PullAnswer> {
    return pull(this.database, person, 0, true, toMillis(this.#now()), Number.MAX_SAFE_INTEGER - 1);
  }

  /** Copies of earlier messages that took a long way round. */
  async deliverLateCopies(): Promise<void> {
    for (const copy of this.#lateCopies.splice(0)) await copy();
  }

  async #push(person: Person, operations: readonly Operation[]): Promise<PushAnswer> {
    const answer = await push(this.database, person, operations, toMillis(this.#now()));
    for (const { id, outcome } of answer.outcomes) if (outcome.ok) this.accepted.add(id);
    return answer;
  }

  async #deliver<Answer>(fate: MessageFate, message: () => Promise<Answer>): Promise<Answer> {
    switch (fate) {
      case 'arrives':
        return message();
      case 'lost':
      case 'server dies before commit':
        // A transaction that does not reach its commit leaves nothing, just as a message that never came.
        throw new Unreachable();
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
