/** Reproducible chance: the same key always gives the same sequence. */
export interface Random {
  /** Evenly from 0 up to, not including, 1. */
  next(): number;
  /** A whole number from `low` to `high`, both included. */
  whole(low: number, high: number): number;
  pick<T>(choices: readonly [T, ...T[]] | readonly T[]): T;
  chance(probability: number): boolean;
  /** Standard normal deviate. */
  normal(): number;
  /** Exponential with mean 1. */
  exponential(): number;
}

/** A sequence of its own for each key, so that adding one thing to the demo does not change another. */
export function randomFor(key: string): Random {
  let state = hash(key);
  const next = (): number => {
    // mulberry32
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    next,
    whole: (low, high) => low + Math.floor(next() * (high - low + 1)),
    pick: (choices) => {
      const chosen = choices[Math.floor(next() * choices.length)];
      if (chosen === undefined) throw new Error(`Nothing to pick from for ${key}.`);
      return chosen;
    },
    chance: (probability) => next() < probability,
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    exponential: () => -Math.log(1 - next()),
  };
}

/** FNV-1a, 32 bits. */
function hash(text: string): number {
  let value = 0x811c9dc5;
  for (let index = 0; index < text.length; index += 1) {
    value = Math.imul(value ^ text.charCodeAt(index), 0x01000193);
  }
  return value | 0;
}
