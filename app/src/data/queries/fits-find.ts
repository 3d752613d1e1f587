import type { Report } from '@oilcan/core/raising/reports';
import { peekRow } from '../store/store';

/** What somebody said of a machine or a place: a report, an incident. */
type Told = Pick<Report, 'number' | 'words' | 'assetId' | 'placeId'>;

/** Whether every word that somebody looks for stands in it: its number, what was said, its machine, its place. */
export function fitsFind({ number, words, assetId, placeId }: Told, find: string): boolean {
  const asset = assetId === null ? undefined : peekRow('assets', assetId);
  const text = [number, words, asset?.name, asset?.tag, peekRow('places', placeId)?.name].join(' ').toLowerCase();
  return find
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
