import { CARRIED_DOCUMENT_BYTES } from '@oilcan/core/plant/documents';
import { documentsOn } from '../queries/documents-on';
import type { AssetId } from '@oilcan/core/kernel';
import { assigneesFor, isOpen, isWholeFor } from '@oilcan/core/orders/work';
import { httpLink } from '../server/http-link';
import { cachedAt, cachePast } from '../past/past-cache';
import { hasFile, peekAll, peekRows, readFile, usePhone } from '../store/store';
import { machineMillis } from '../browser/machine-clock';

/** A past is fetched again after so long, even if nothing was heard to change it. */
const FRESH_MILLISECONDS = 24 * 3_600_000;
/** After synchronizing, so that it holds up nothing that somebody waits for. */
const LATER_MILLISECONDS = 1_500;

let isCarrying = false;
let timer: ReturnType<typeof setTimeout> | undefined;
/** Documents that were fetched once; one that had to give way to newer ones is not fetched again and again. */
const fetched = new Set<string>();

/** Sees to it that the past and the documents of machines with open work of mine are on this phone before I need them. */
export function carryAheadLater(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void carryAhead(), LATER_MILLISECONDS);
}

async function carryAhead(): Promise<void> {
  if (isCarrying) return;
  isCarrying = true;
  try {
    const assets = assetsWithWork();
    for (const assetId of assets) {
      const of = { scope: 'asset', id: assetId } as const;
      if (await isPastStale(assetId)) await cachePast(of, await httpLink.past(of));
    }
    for (const assetId of assets) await carryDocuments(assetId);
  } catch {
    // No signal, or no session: the next time that the phone synchronizes.
  } finally {
    isCarrying = false;
  }
}

function assetsWithWork(): ReadonlySet<AssetId> {
  const { person } = usePhone.getState();
  if (person === null) return new Set();
  // A lead's phone carries everybody's work; of the past and the documents it needs only what is for the lead's own.
  const own = assigneesFor(person, peekAll('crews'));
  const mine = peekAll('workOrders').filter((work) => isOpen(work.state) && isWholeFor(work, own));
  return new Set(mine.map((work) => work.assetId));
}

async function isPastStale(assetId: AssetId): Promise<boolean> {
  const at = await cachedAt({ scope: 'asset', id: assetId });
  const turns = peekRows('workOrders', 'asset', assetId).map((work) => Date.parse(work.lastTransition?.since ?? ''));
  return at < machineMillis() - FRESH_MILLISECONDS || turns.some((turn) => turn > at);
}

async function carryDocuments(assetId: AssetId): Promise<void> {
  for (const { fileId, mediaType, bytes } of documentsOn(assetId)) {
    if (bytes > CARRIED_DOCUMENT_BYTES || fetched.has(fileId) || (await hasFile(fileId))) continue;
    const file = await readFile(fileId, mediaType);
    if (file.is === 'without signal') return;
    fetched.add(fileId);
  }
}
