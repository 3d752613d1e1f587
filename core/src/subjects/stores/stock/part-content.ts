import type { BinId, PartId, PersonId, RequestId } from '../../../kernel/ids';
import type { Money } from '../../../kernel/money/money';
import type { Thousandths } from '../../../kernel/quantity/quantity';

/** What one unit of a part cost when it was used. */
export interface UnitPrice {
  /** In the smallest currency unit; may be a fraction of it. */
  readonly minor: number;
  /** ISO 4217. */
  readonly currency: string;
}

/** A bin that holds less than nothing by the books: somebody has to count it. */
export interface BelowZero {
  readonly part: string;
  readonly bin: string;
  readonly unit: string;
  /** Below zero. */
  readonly onHand: Thousandths;
}

/** A part used (quantity above zero) or put back (below zero), at a price that stays as it was. */
export interface PartContent {
  readonly kind: 'part';
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
  readonly unitPrice: UnitPrice;
  readonly cost: Money;
  /** The serial number of what went in; absent where it has none. */
  readonly serial?: string;
  /** That a store handed it out, and for which request; absent where whoever had the job took it. */
  readonly issue?: { readonly requestId: RequestId | null; readonly to: PersonId | null };
  /** What the bin then held by the books, where that is below zero; absent otherwise. */
  readonly belowZero?: BelowZero;
}
