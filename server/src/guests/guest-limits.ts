import { OilcanError } from '@oilcan/core/kernel';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

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
  readonly #addresses: RateLimiterMemory;
  readonly #labels: RateLimiterMemory;
  readonly #wrong = new RateLimiterMemory({ keyPrefix: 'wrong', points: WRONG_PER_ADDRESS, duration: QUARTER_HOUR });

  constructor({ postsPerAddress, postsPerLabel }: GuestLimits) {
    this.#addresses = new RateLimiterMemory({ keyPrefix: 'posts', points: postsPerAddress, duration: TEN_MINUTES });
    this.#labels = new RateLimiterMemory({ keyPrefix: 'labels', points: postsPerLabel, duration: HOUR });
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

async function counted(limiter: RateLimiterMemory, key: string): Promise<void> {
  try {
    await limiter.consume(key);
  } catch (limited) {
    if (!(limited instanceof RateLimiterRes)) throw limited;
    throw tooMany(limited.msBeforeNext);
  }
}

const tooMany = (milliseconds: number): OilcanError =>
  new OilcanError('too_many_requests', { seconds: Math.max(1, Math.ceil(milliseconds / 1000)) });
