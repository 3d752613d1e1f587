import type { AssetId, PartId, SiteId } from '../../kernel/ids';

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
}
