import type { Report } from '@oilcan/core/reports';
import { peekRow } from '../../data/store';

/** Whether every word that somebody looks for stands in a report: its number, what was said, its machine, its place. */
export function fitsFind({ number, words, assetId, placeId }: Report, find: string): boolean {
  const asset = assetId === null ? undefined : peekRow('assets', assetId);
  const text = [number, words, asset?.name, asset?.tag, peekRow('places', placeId)?.name].join(' ').toLowerCase();
  return find
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
