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

interface Trail {
  readonly addresses: readonly string[];
  readonly visit: (address: string) => void;
}

export const useTrail = create<Trail>((set) => ({
  addresses: [],
  visit: (address) => set(({ addresses }) => ({ addresses: trailAfter(addresses, address) })),
}));
