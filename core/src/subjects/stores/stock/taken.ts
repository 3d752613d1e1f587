import type { AssetId, PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import { currentOf, type Entry } from '../../orders/work/entries';

/** What was taken of a part on a job and has not gone back, and what it cost. */
export interface Taken {
  readonly quantity: Thousandths;
  /** In the smallest currency unit. */
  readonly costMinor: number;
  readonly currency: string;
  /** For which machine it was taken last. */
  readonly assetId: AssetId;
}

/** Null where none of it is left to go back. */
export function takenOf(entries: readonly Entry[], partId: PartId): Taken | null {
  const ofPart = currentOf(entries, 'part').filter(({ content }) => content.partId === partId);
  const contents = ofPart.map(({ content }) => content);
  const last = ofPart.at(-1);
  const quantity = contents.reduce((sum, content) => sum + content.quantity, 0);
  if (last === undefined || quantity <= 0) return null;
  const { assetId, content } = last;
  const { currency } = content.cost;
  const costMinor = contents.reduce((sum, { cost }) => sum + (cost.currency === currency ? cost.minor : 0), 0);
  return { quantity, costMinor, currency, assetId };
}
