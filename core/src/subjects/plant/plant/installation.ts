import type { AssetId, PartId, PointId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/** A part with a number of its own that sits in an asset. */
export interface Installation {
  readonly id: string;
  readonly siteId: SiteId;
  readonly assetId: AssetId;
  readonly partId: PartId;
  readonly serial: string;
  /** Calendar date. */
  readonly since: string;
  /** Calendar date of the last day under warranty; null for none. */
  readonly warrantyUntil: string | null;
  /** Under warranty until this meter of its machine shows so much; absent where only the date counts. */
  readonly warrantyMeter?: { readonly pointId: PointId; readonly upTo: number };
}

/**
 * Whether its warranty runs: up to its last day and up to what its meter may show, whichever comes first.
 *
 * @param meter what the meter shows; null where it was never read
 */
export function isWarrantyRunning(
  { warrantyUntil, warrantyMeter }: Pick<Installation, 'warrantyUntil' | 'warrantyMeter'>,
  now: Instant,
  meter: number | null,
): boolean {
  if (warrantyUntil === null && warrantyMeter === undefined) return false;
  const isInTime = warrantyUntil === null || now.slice(0, 10) <= warrantyUntil;
  const isInUse = warrantyMeter === undefined || meter === null || meter <= warrantyMeter.upTo;
  return isInTime && isInUse;
}
