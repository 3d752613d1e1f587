import type { AssetId, BinId, PartId } from '../../../kernel/ids';
import type { Installation } from '../../plant/plant/installation';

/** What becomes of a part that came out. */
export const fates = ['scrap', 'repair', 'warranty', 'keep'] as const;
export type Fate = (typeof fates)[number];

/** A part came out of a machine. */
export interface RemovalContent {
  readonly kind: 'removal';
  readonly partId: PartId;
  readonly assetId: AssetId;
  /** Empty where it has none. */
  readonly serial: string;
  readonly fate: Fate;
  /** The bin in which it is kept; null where it is not. */
  readonly binId: BinId | null;
  /** As it stood in the make-up of the machine, by which it can be put back; null where it did not. */
  readonly installation: Installation | null;
}
