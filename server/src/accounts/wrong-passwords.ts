import { OilcanError } from '@oilcan/core/kernel';
import { RateLimiterRes, type RateLimiterAbstract } from 'rate-limiter-flexible';
import type { Counting } from '../database/dialect';

/** After so long without a wrong one, the waits begin anew. */
const REMEMBERED_SECONDS = 3_600;
const LONGEST_WAIT_SECONDS = 300;
const ADDRESS_WINDOW_SECONDS = 900;

interface Limits {
  /** Tries for one name from one address that cost no wait. */
  readonly freeTries: number;
  /** Wrong tries from one address within a quarter of an hour, over all names. */
  readonly triesPerAddress: number;
}

/**
 * What wrong passwords cost: for a name from one address, waits that double from a second to five minutes. Somebody
 * elsewhere who tries that name makes its owner wait for nothing. One address is bounded over all names, of each by its free tries:
 * whoever forgot their password locks out nobody else at their works.
 */
export class WrongPasswords {
  readonly #free: number;
  readonly #counted: RateLimiterAbstract;
  readonly #waits: RateLimiterAbstract;
  readonly #addresses: RateLimiterAbstract;

  constructor({ freeTries, triesPerAddress }: Limits, counting: Counting) {
    this.#free = freeTries;
    this.#counted = counting({ keyPrefix: 'tries', points: Number.MAX_SAFE_INTEGER, duration: REMEMBERED_SECONDS });
    this.#waits = counting({ keyPrefix: 'waits', points: 1, duration: LONGEST_WAIT_SECONDS });
    this.#addresses = counting({
      keyPrefix: 'addresses',
      points: triesPerAddress,
      duration: ADDRESS_WINDOW_SECONDS,
    });
  }

  /**
   * Counts a try before it is looked at, so that tries sent all at once count too. Throws `too_many_requests` with the seconds
   * to wait.
   */
  async begin(address: string, name: string): Promise<void> {
    const key = keyOf(address, name);
    const waiting = await this.#waits.get(key);
    if (waiting !== null && waiting.msBeforeNext > 0) throw tooMany(waiting.msBeforeNext);
    const counted = await this.#counted.consume(key);
    const beyond = counted.consumedPoints - this.#free;
    if (beyond >= 0) await this.#beginWait(key, Math.min(LONGEST_WAIT_SECONDS, 2 ** beyond));
    // Of one name only its first tries count for the address: its own waits bound the rest, and nobody else there is held up by them.
    if (counted.consumedPoints > this.#free) return;
    try {
      await this.#addresses.consume(address);
    } catch (limited) {
      if (!(limited instanceof RateLimiterRes)) throw limited;
      throw tooMany(limited.msBeforeNext);
    }
  }

  /** Of several that come at once, at however many servers, one begins the wait, and the others wait already. */
  async #beginWait(key: string, seconds: number): Promise<void> {
    try {
      await this.#waits.consume(key);
    } catch (limited) {
      if (!(limited instanceof RateLimiterRes)) throw limited;
      throw tooMany(Math.min(limited.msBeforeNext, seconds * 1_000));
    }
    await this.#waits.block(key, seconds);
  }

  /** The password was right: what was counted for it is forgotten. */
  async right(address: string, name: string): Promise<void> {
    const key = keyOf(address, name);
    await Promise.all([this.#counted.delete(key), this.#waits.delete(key), this.#addresses.reward(address)]);
  }
}

const keyOf = (address: string, name: string): string => `${address} ${name}`;

function tooMany(milliseconds: number): OilcanError {
  return new OilcanError('too_many_requests', { seconds: Math.max(1, Math.ceil(milliseconds / 1000)) });
}
