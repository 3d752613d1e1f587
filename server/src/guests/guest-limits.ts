import { OilcanError } from '@oilcan/core/kernel';
import { RateLimiterRes, type RateLimiterAbstract } from 'rate-limiter-flexible';
import type { Counting } from '../database/dialect';

/** How much people without an account may do. */
export interface GuestLimits {
  /** Reports and additions from one address within ten minutes. */
  readonly postsPerAddress: number;
  /** Reports by one label within an hour. */
  readonly postsPerLabel: number;
}

const TEN_MINUTES = 600;
const HOUR = 3_600;
/** Labels and links from one address within a quarter of an hour that lead nowhere: nobody finds one by trying. */
const WRONG_PER_ADDRESS = 30;
const QUARTER_HOUR = 900;

/** Bounds what people without an account do, each by their address and by their label. Throws `too_many_requests` with the seconds to wait. */
export class GuestCounts {
  readonly #addresses: RateLimiterAbstract;
  readonly #labels: RateLimiterAbstract;
  readonly #wrong: RateLimiterAbstract;

  constructor({ postsPerAddress, postsPerLabel }: GuestLimits, counting: Counting) {
    this.#addresses = counting({ keyPrefix: 'posts', points: postsPerAddress, duration: TEN_MINUTES });
    this.#labels = counting({ keyPrefix: 'labels', points: postsPerLabel, duration: HOUR });
    this.#wrong = counting({ keyPrefix: 'wrong', points: WRONG_PER_ADDRESS, duration: QUARTER_HOUR });
  }

  /** Before anything that is sent is read. */
  async beforePost(address: string): Promise<void> {
    await counted(this.#addresses, address);
  }

  /** Before a report is kept. */
  async beforeReport(label: string): Promise<void> {
    await counted(this.#labels, label);
  }

  /** Before a label or a link is looked at: who tried too many that lead nowhere waits. */
  async beforeLooking(address: string): Promise<void> {
    const tried = await this.#wrong.get(address);
    if (tried !== null && tried.consumedPoints >= WRONG_PER_ADDRESS) throw tooMany(tried.msBeforeNext);
  }

  /** A label or a link led nowhere. */
  async wrong(address: string): Promise<void> {
    await this.#wrong.consume(address).catch(() => undefined);
  }
}

async function counted(limiter: RateLimiterAbstract, key: string): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (limited) {
    if (!(limited instanceof RateLimiterRes)) throw limited;
    throw tooMany(limited.msBeforeNext);
  }
}

const tooMany = (milliseconds: number): OilcanError =>
  new OilcanError('too_many_requests', { seconds: Math.max(1, Math.ceil(milliseconds / 1000)) });
