import type { AssetId, PersonId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/** A code on a label that was bound to an asset on the spot. An asset's own tag need not be bound. */
export interface Code {
  /** As `readCode` gives it. */
  readonly id: string;
  readonly siteId: SiteId;
  readonly assetId: AssetId;
  readonly by: PersonId;
  readonly at: Instant;
  /** What it belonged to before, oldest first, and who had bound it then. */
  readonly previous: readonly { readonly assetId: AssetId; readonly by: PersonId; readonly at: Instant }[];
}
