import type { PastOf } from '@oilcan/core/past/past';
import { PAST_CONTENT } from '@oilcan/core/registry';
import { forgetLastRead } from './last-read';
import { machineMillis } from '../browser/machine-clock';

/** Pasts that hold something else are not read. */
const NAME = `oilcan-past ${PAST_CONTENT}`;
const AS_OF = 'x-as-of';

const keyOf = ({ scope, id }: PastOf): string => `/past/${id}/${scope}`;

/** A past as it came, and when. */
export interface CachedPast {
  readonly text: string;
  readonly at: number;
}

/** Keeps a past for when there is no signal. What cannot be kept is fetched again: nothing is lost by it. */
export async function cachePast(of: PastOf, text: string): Promise<void> {
  try {
    const cache = await caches.open(NAME);
    await cache.put(keyOf(of), new Response(text, { headers: { [AS_OF]: String(machineMillis()) } }));
  } catch {
    // The phone is full, or the browser keeps nothing.
  }
}

export async function cachedPast(of: PastOf): Promise<CachedPast | null> {
  try {
    const kept = await (await caches.open(NAME)).match(keyOf(of));
    return kept === undefined ? null : { text: await kept.text(), at: Number(kept.headers.get(AS_OF)) };
  } catch {
    return null;
  }
}

/** When a past was kept, in milliseconds; zero for never. */
export async function cachedAt(of: PastOf): Promise<number> {
  try {
    const kept = await (await caches.open(NAME)).match(keyOf(of));
    return Number(kept?.headers.get(AS_OF) ?? 0);
  } catch {
    return 0;
  }
}

/** Nobody else reads it on this phone. */
export async function forgetPasts(): Promise<void> {
  forgetLastRead();
  try {
    for (const name of await caches.keys()) if (name.startsWith('oilcan-past')) await caches.delete(name);
  } catch {
    // Then there is nothing.
  }
}
