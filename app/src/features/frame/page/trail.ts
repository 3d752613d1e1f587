import { create } from 'zustand';
import { placeWord } from './places';

/** What only leads on to what was looked for. */
const passages: ReadonlySet<string> = new Set(['/scan']);
const LONGEST = 40;

const pathOf = (address: string): string => address.split('?')[0] ?? address;

/**
 * The way back with one more address within the application, the oldest first. It ends at a place. Who comes to where they
 * were before has gone back; what differs only in its search is the same view.
 */
export function trailAfter(trail: readonly string[], address: string): readonly string[] {
  const path = pathOf(address);
  if (placeWord(path) !== undefined) return [address];
  const left = trail.filter(
    (each, index) => index < trail.length - 1 || !passages.has(pathOf(each)) || each === address,
  );
  const known = left.findLastIndex((each) => pathOf(each) === path);
  const isBackOrHere = known !== -1 && known >= left.length - 2;
  return [...(isBackOrHere ? left.slice(0, known) : left), address].slice(-LONGEST);
}

/**
 * The address before the one where somebody is; undefined where there is none.
 *
 * @param over the path of a view that is done with, and not led back to
 */
export function addressBefore(trail: readonly string[], over?: string): string | undefined {
  return trail.slice(0, -1).findLast((each) => pathOf(each) !== over);
}

/** How far down the views on the way were scrolled, in pixels, by their address. */
const depths = new Map<string, number>();

export function depthOf(address: string): number {
  return depths.get(address) ?? 0;
}

export function keepDepth(address: string, depth: number): void {
  depths.set(address, depth);
}

/** Whoever opens anew what they have left begins at its top; only the places are found as they were. */
function forgetDepthsBeside(trail: readonly string[]): void {
  const paths = new Set(trail.map(pathOf));
  for (const address of depths.keys()) {
    const path = pathOf(address);
    if (!paths.has(path) && placeWord(path) === undefined) depths.delete(address);
  }
}

interface Trail {
  readonly addresses: readonly string[];
  readonly visit: (address: string) => void;
}

export const useTrail = create<Trail>((set) => ({
  addresses: [],
  visit: (address) =>
    set((before) => {
      const addresses = trailAfter(before.addresses, address);
      forgetDepthsBeside(addresses);
      return { addresses };
    }),
}));
