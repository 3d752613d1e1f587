import { instantFromMillis, type Instant } from '@oilcan/core/kernel';
import type { Clock } from '../clock';

/** The present of every test of the server, some days after what `@oilcan/core/testing` calls noon; on whatever day it runs. */
export const PRESENT = Date.parse('2026-11-26T09:00:00Z');

/** The present, as rows have it. */
export const present: Instant = instantFromMillis(PRESENT);

/** A clock that goes on when it is told to; each look at it is a millisecond after the one before, so that the order of what happens can be seen. */
export class TestClock {
  #millis = PRESENT;

  readonly look: Clock = () => this.#millis++;

  get now(): Instant {
    return instantFromMillis(this.#millis);
  }

  pass(milliseconds: number): void {
    this.#millis += milliseconds;
  }
}

export const testClock = (): Clock => new TestClock().look;
