import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { mersenne } from 'pure-rand/generator/mersenne';

/** Reproducible chance for one seed (MT19937, whose sequences for neighbouring seeds are unlike from the first number on): evenly from 0 up to 1, and standard normal deviates. */
export function chanceOf(seed: number): { readonly next: () => number; readonly normal: () => number } {
  const generator = mersenne(seed);
  const next = (): number => uniformFloat64(generator);
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  return { next, normal };
}
