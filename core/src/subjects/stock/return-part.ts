import type { PartId, WorkOrderId } from '../../kernel/ids';
import { scaleAmount } from '../../kernel/money/money';
import type { Thousandths } from '../../kernel/quantity/quantity';
import type { Records } from '../../records/records';
import { standingOf, type Entry } from '../work/entries';
import type { PartContent, UnitPrice } from './part-content';

/** What was taken of a part on a job and has not gone back, and what it cost. */
export interface Taken {
  readonly quantity: Thousandths;
  /** In the smallest currency unit. */
  readonly costMinor: number;
  readonly currency: string;
}

/** Null where none of it is left to go back. */
export function takenOf(entries: readonly Entry[], partId: PartId): Taken | null {
  const contents = standingOf(entries, 'part')
    .map(({ content }) => content)
    .filter((content) => content.partId === partId);
  const last = contents.at(-1);
  const quantity = contents.reduce((sum, content) => sum + content.quantity, 0);
  if (last === undefined || quantity <= 0) return null;
  const { currency } = last.cost;
  const costMinor = contents.reduce((sum, { cost }) => sum + (cost.currency === currency ? cost.minor : 0), 0);
  return { quantity, costMinor, currency };
}

/**
 * What goes back costs as much less as it cost to take, in the middle of all that was taken: when all of it has gone back, nothing is
 * left of the cost.
 */
export function returnedPrice(taken: Taken, quantity: Thousandths): Pick<PartContent, 'unitPrice' | 'cost'> {
  const unitPrice: UnitPrice = { minor: (taken.costMinor * 1000) / taken.quantity, currency: taken.currency };
  return { unitPrice, cost: scaleAmount([taken.costMinor, -quantity], taken.quantity, taken.currency) };
}

/** As `takenOf`, from the records. */
export async function takenOn(records: Records, workOrderId: WorkOrderId, partId: PartId): Promise<Taken | null> {
  return takenOf(await records.list('entries', 'workOrder', workOrderId), partId);
}
