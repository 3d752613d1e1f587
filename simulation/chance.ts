/** Reproducible chance for one seed (mulberry32). */
export class Chance {
  #state: number;

  constructor(seed: number) {
    this.#state = (seed * 0x9e3779b1) | 0;
  }

  next(): number {
    this.#state = (this.#state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(this.#state ^ (this.#state >>> 15), 1 | this.#state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  }

  whole(low: number, high: number): number {
    return low + Math.floor(this.next() * (high - low + 1));
  }

  pick<T>(choices: readonly T[]): T {
    const chosen = choices[this.whole(0, choices.length - 1)];
    if (chosen === undefined) throw new Error('Nothing to pick from.');
    return chosen;
  }
}
