import type { BinId, CountId, PartId, PersonId, SiteId, StoreId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';

/** What somebody counted in a bin: kept as it was counted, until somebody who may posts it to the books or sets it aside. */
export interface Count {
  /** Of the operation that kept it. */
  readonly id: CountId;
  readonly siteId: SiteId;
  readonly storeId: StoreId;
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
  /** What the books said then, on the device of whoever counted. */
  readonly books: Thousandths;
  readonly by: PersonId;
  readonly at: Instant;
  /** What became of it; null while nobody decided. */
  readonly settled: {
    readonly is: 'posted' | 'dismissed' | 'overtaken';
    readonly by: PersonId;
    readonly at: Instant;
    /** By how much the books were off; null where they were not touched. */
    readonly variance: Thousandths | null;
    /** Why the books were off, or why it was set aside; empty where nobody said. */
    readonly reason: string;
  } | null;
  /** When that came to be known; null while nobody decided. */
  readonly endedAt: Instant | null;
}

/** What a count differs from the books of its moment: above zero for more. */
export function varianceOf({ quantity, books }: Pick<Count, 'quantity' | 'books'>): Thousandths {
  return quantity - books;
}
