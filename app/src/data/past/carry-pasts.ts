import { isOpen, isWholeFor, type AssetId } from '@oilcan/core';
import { httpLink } from '../http-link';
import { carriedWhole, peekAll } from '../store';
import { cachedAt, cachePast } from './past-cache';

/** A past is fetched again after so long, even if nothing was heard to change it. */
const FRESH_MILLISECONDS = 24 * 3_600_000;
/** After synchronizing, so that it holds up nothing that somebody waits for. */
const LATER_MILLISECONDS = 1_500;

let isCarrying = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sees to it that the pasts of the assets with open work of mine are on this phone before I need them. */
export function carryPastsLater(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void carryPasts(), LATER_MILLISECONDS);
}

async function carryPasts(): Promise<void> {
  if (isCarrying) return;
  isCarrying = true;
  try {
    for (const assetId of await wanted()) await cachePast(assetId, 'asset', await httpLink.past(assetId, 'asset'));
  } catch {
    // No signal, or no session: the next time that the phone synchronizes.
  } finally {
    isCarrying = false;
  }
}

async function wanted(): Promise<AssetId[]> {
  const carriedFor = carriedWhole();
  if (carriedFor === null || carriedFor === 'all') return [];
  const works = peekAll('workOrders');
  const mine = works.filter((work) => isOpen(work.state) && isWholeFor(work, carriedFor));
  const stale: AssetId[] = [];
  for (const assetId of new Set(mine.map((work) => work.assetId))) {
    const at = await cachedAt(assetId);
    const ends = works.filter((work) => work.assetId === assetId).map((work) => Date.parse(work.turned?.since ?? ''));
    const isStale = at < Date.now() - FRESH_MILLISECONDS || ends.some((end) => end > at);
    if (isStale) stale.push(assetId);
  }
  return stale;
}
