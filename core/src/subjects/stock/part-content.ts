import type { BinId, PartId } from '../../kernel/ids';
import type { Money } from '../../kernel/money/money';
import type { Thousandths } from '../../kernel/quantity/quantity';

/** What one unit of a part cost when it was used. */
export interface UnitPrice {
  /** In the smallest currency unit; may be a fraction of it. */
  readonly minor: number;
  /** ISO 4217. */
  readonly currency: string;
}

/** A part used (quantity above zero), at a price that stays as it was. */
export interface PartContent {
  readonly kind: 'part';
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
  readonly unitPrice: UnitPrice;
  readonly cost: Money;
}
