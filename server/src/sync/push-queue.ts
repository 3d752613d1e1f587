import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { pushWithin, type Push, type Pushed } from './push';

/** Pushes in one transaction at most, so that none waits for long. */
const MOST_TOGETHER = 16;

interface Waiting {
  readonly push: Push;
  readonly resolve: (pushed: Pushed) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Pushes that wait at the same time are written in one transaction, and become durable together: a write to the disk is what
 * takes longest (group commit). Each is answered once all of it is durable. Where one fails, each is tried by itself, so that it
 * takes no other with it.
 */
export class PushQueue {
  readonly #database: Knex;
  readonly #clock: Clock;
  #waiting: Waiting[] = [];
  #isWriting = false;

  constructor(database: Knex, clock: Clock) {
    this.#database = database;
    this.#clock = clock;
  }

  push(push: Push): Promise<Pushed> {
    return new Promise((resolve, reject) => {
      this.#waiting.push({ push, resolve, reject });
      if (!this.#isWriting) void this.#write();
    });
  }

  async #write(): Promise<void> {
    this.#isWriting = true;
    // What arrived in this same moment goes along.
    await new Promise(setImmediate);
    while (this.#waiting.length > 0) {
      const some = this.#waiting.splice(0, MOST_TOGETHER);
      try {
        const pushed = await this.#together(some);
        for (const [index, { resolve, reject }] of some.entries()) {
          const one = pushed[index];
          if (one === undefined) reject(new Error('A push has no answer.'));
          else resolve(one);
        }
      } catch (error) {
        if (some.length === 1) some[0]?.reject(error);
        else for (const one of some) await this.#alone(one);
      }
    }
    this.#isWriting = false;
  }

  #together(some: readonly Waiting[]): Promise<Pushed[]> {
    return this.#database.transaction(async (transaction) => {
      const pushed: Pushed[] = [];
      for (const { push } of some) pushed.push(await pushWithin(transaction, push, this.#clock));
      return pushed;
    });
  }

  async #alone({ push, resolve, reject }: Waiting): Promise<void> {
    try {
      resolve(await this.#database.transaction((transaction) => pushWithin(transaction, push, this.#clock)));
    } catch (error) {
      reject(error);
    }
  }
}
