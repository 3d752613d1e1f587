/** Reproducible chance for one seed (mulberry32): evenly from 0 up to 1, and standard normal deviates. */
export function chanceOf(seed: number): { readonly next: () => number; readonly normal: () => number } {
  let state = Math.imul(seed + 1, 0x9e3779b1);
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  return { next, normal };
}
