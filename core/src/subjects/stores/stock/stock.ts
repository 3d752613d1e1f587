import type { BinId, EntryId, PartId, PersonId, PlaceId, SiteId, StoreId, WorkOrderId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';

export interface Part {
  readonly id: PartId;
  readonly number: string;
  readonly name: string;
  /** What it is counted in: `pcs`, `L`, `m`. */
  readonly unit: string;
  /** Whether only whole amounts make sense. */
  readonly isWhole: boolean;
  /** Price of one unit in the smallest currency unit. */
  readonly priceMinor: number;
  /** The part that takes its place once it is no longer bought. */
  readonly successorId: PartId | null;
  readonly isObsolete: boolean;
  /** Each has a serial number of its own; absent where they have none. */
  readonly isNumbered?: boolean;
  /** For so many days from when it goes in it is under warranty; absent for none. */
  readonly warrantyDays?: number;
}

export interface Store {
  readonly id: StoreId;
  readonly siteId: SiteId;
  readonly name: string;
  /** Whether somebody stands there who hands out; absent where everybody takes from the bins. */
  readonly isAttended?: boolean;
  /** Where what was handed out lies until it is fetched, such as `Base counter`; absent for none. */
  readonly pickUpPlaces?: readonly string[];
  /** Where it stands; absent where nobody said. */
  readonly placeId?: PlaceId;
  /** Whose bag or vehicle it is; absent where it stands still. */
  readonly ownerId?: PersonId;
  /** Whether who counts there does not see what the books say; absent where they do. */
  readonly isCountedBlind?: boolean;
}

export interface Bin {
  readonly id: BinId;
  readonly storeId: StoreId;
  readonly siteId: SiteId;
  /** As written on the shelf, such as `C-04`. */
  readonly label: string;
}

/**
 * How much of a part lies in a bin: always the sum of its movements, kept beside them so that
 * nobody has to add up years to know it.
 */
export interface StockLevel {
  /** `partId@binId`. */
  readonly id: string;
  /** The site of the bin. */
  readonly siteId: SiteId;
  readonly partId: PartId;
  readonly binId: BinId;
  readonly onHand: Thousandths;
  /** When something came into it last; absent where nothing did since that is kept. */
  readonly receivedAt?: Instant;
  /** The count by which its figure stands, and when that was; absent where it was never counted since that is kept. */
  readonly counted?: { readonly at: Instant; readonly id: string };
  /** Below this the storekeeper is told; zero for never. */
  readonly lowLevel: Thousandths;
}

export type MovementReason = 'opening' | 'receipt' | 'use' | 'return' | 'correction' | 'count' | 'transfer' | 'issue';

/** One change of stock. Never changed itself: a wrong one is corrected by another. */
export interface Movement {
  readonly id: string;
  readonly partId: PartId;
  readonly binId: BinId;
  /** Above zero into the bin, below zero out of it. */
  readonly change: Thousandths;
  readonly reason: MovementReason;
  readonly at: Instant;
  readonly workOrderId: WorkOrderId | null;
  readonly entryId: EntryId | null;
  /** Who moved it; absent where that was not kept. */
  readonly by?: PersonId;
}

export function stockLevelId(partId: PartId, binId: BinId): string {
  return `${partId}@${binId}`;
}

/** Whether less lies there than should; less than nothing by the books is always less. */
export function isLow({ onHand, lowLevel }: Pick<StockLevel, 'onHand' | 'lowLevel'>): boolean {
  return onHand < Math.max(0, lowLevel);
}

/** Whether more was taken than there was by the books: then the books are wrong, and somebody counts. */
export function wantsCount({ onHand }: Pick<StockLevel, 'onHand'>): boolean {
  return onHand < 0;
}

/** What lies in a bin after all its movements. */
export function onHandAfter(movements: readonly Movement[]): Thousandths {
  return movements.reduce((sum, movement) => sum + movement.change, 0);
}
