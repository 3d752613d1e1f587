import { instantFromMillis, type Instant } from '../kernel/time/instant';
import type { Stamp } from '../operations/stamp';

/** A difference below this is the network's noise, not the clock's fault. */
const NOISE_MILLISECONDS = 1_000;

/** One question to the server about the time, in milliseconds since 1970. */
export interface TimeAnswer {
  /** By the device's clock, when the question went out and when its answer was there. */
  readonly askedAt: number;
  readonly answeredAt: number;
  /** By the server's clock, when it answered. */
  readonly serverTime: number;
}

/**
 * How far the device's clock is ahead of the server's (negative: behind), in milliseconds, and how far that may be off:
 * the answer was given at some moment between question and arrival (F. Cristian, “Probabilistic clock synchronization”,
 * Distributed Computing 3, 1989).
 */
export function measureAhead({ askedAt, answeredAt, serverTime }: TimeAnswer): { ahead: number; within: number } {
  return { ahead: Math.round((askedAt + answeredAt) / 2 - serverTime), within: Math.abs(answeredAt - askedAt) / 2 };
}

/** What a device clock remembers through a reload. */
export interface ClockMemory {
  /** Milliseconds that the device is ahead of the server, as last measured. */
  readonly ahead: number;
  /** The last time that was given to an operation, in corrected milliseconds since 1970. */
  readonly latest: number;
}

export const trustedClock: ClockMemory = { ahead: 0, latest: 0 };

/** The two clocks of a device, in milliseconds: the one that can be set (whole ones), and one that only runs. */
export interface DeviceClocks {
  readonly wall: () => number;
  readonly running: () => number;
}

/**
 * The time as the server has it, told from a device's clock that may be wrong or be set while it is used.
 * The times given to operations only ever rise, so the order in which somebody worked survives every change of the clock.
 */
export class DeviceClock {
  readonly #clocks: DeviceClocks;
  #ahead: number;
  #latest: number;
  #wallBefore: number;
  #runningBefore: number;

  constructor(clocks: DeviceClocks, memory: ClockMemory = trustedClock) {
    this.#clocks = clocks;
    this.#ahead = memory.ahead;
    this.#latest = memory.latest;
    this.#wallBefore = clocks.wall();
    this.#runningBefore = clocks.running();
  }

  get memory(): ClockMemory {
    return { ahead: this.#ahead, latest: this.#latest };
  }

  /** Takes over what was remembered before a reload, or by another window of the same device. */
  remember({ ahead, latest }: ClockMemory): void {
    this.#ahead = ahead;
    this.#latest = latest;
  }

  /** The corrected present. Never before the last operation. */
  now(): Instant {
    return instantFromMillis(Math.max(this.#corrected(), this.#latest));
  }

  /** Stamps an operation: later than every one before. */
  stamp(): Stamp {
    const corrected = Math.max(this.#corrected(), this.#latest + 1);
    this.#latest = corrected;
    const deviceTime = this.#wallBefore;
    return { deviceTime, ahead: deviceTime - corrected };
  }

  /** Takes in an answer of the server; tells whether the difference changed. */
  measured(answer: TimeAnswer): boolean {
    // A jump of the clock is in this measurement already.
    this.#corrected();
    const { ahead, within } = measureAhead(answer);
    if (Math.abs(ahead - this.#ahead) <= within + NOISE_MILLISECONDS) {
      // What is done from here on is done after the server answered, also by a clock that is set back to its beginning.
      this.#latest = Math.max(this.#latest, answer.serverTime - 1);
      return false;
    }
    this.#ahead = ahead;
    // Somebody had set the device forward: what it stamped then is stamped anew, see `notAfter`.
    this.#latest = Math.max(
      answer.serverTime - 1,
      Math.min(this.#latest, Math.max(answer.answeredAt - ahead, answer.serverTime)),
    );
    return true;
  }

  #corrected(): number {
    const wall = this.#clocks.wall();
    const running = this.#clocks.running();
    const jump = Math.round(wall - this.#wallBefore - (running - this.#runningBefore));
    // Set back while it was used. Forward may also be a device that slept, so that is left for the server to tell.
    if (jump < -NOISE_MILLISECONDS) this.#ahead += jump;
    this.#wallBefore = wall;
    this.#runningBefore = running;
    return wall - this.#ahead;
  }
}
