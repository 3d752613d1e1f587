import { usePathname, useRouter, useSegments } from 'expo-router';
import { useEffect } from 'react';
import { placeWord } from './places';
import { addressBefore, useTrail } from './trail';
import { useOpenParams } from './use-open-params';

/** Notes every address on the person's way through the application. The frame does it, once. */
export function useNotedTrail(): void {
  const path = usePathname();
  const given = useOpenParams();
  const segments: readonly string[] = useSegments();
  // What stands in the path already is no part of the search.
  const inPath = new Set(segments.map((segment) => /^\[(\w+)\]$/.exec(segment)?.[1]));
  const search = new URLSearchParams(
    Object.entries(given).flatMap(([name, value]) => (inPath.has(name) ? [] : [[name, value]])),
  ).toString();
  const address = search === '' ? path : `${path}?${search}`;
  useEffect(() => useTrail.getState().visit(address), [address]);
}

interface WayBack {
  readonly onBack: () => void;
  /** Where it leads, for a screen reader. */
  readonly backTo: string;
}

const WHERE_YOU_WERE = 'where you were';

/**
 * The way back to what was looked at before this.
 *
 * @param otherwise where it leads when the person came here from outside, or loaded the page anew
 * @param over the path of a view on the way that is done with
 */
export function useBack(otherwise: `/${string}`, over?: `/${string}`): WayBack {
  const router = useRouter();
  const before = useTrail(({ addresses }) => addressBefore(addresses, over)) ?? otherwise;
  return { onBack: () => router.navigate(before as `/${string}`), backTo: placeWord(before) ?? WHERE_YOU_WERE };
}
