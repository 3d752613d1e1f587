import { formatQuantity, type Thousandths } from '@oilcan/core/kernel';
import type { Bin, Part } from '@oilcan/core/stores/stock';

/** `4 L`, `1 pcs`. */
export function amountOf(quantity: Thousandths, part: Pick<Part, 'unit'> | undefined): string {
  return `${formatQuantity(quantity)} ${part?.unit ?? ''}`.trim();
}

/** `bin C-04`; one that this person does not see belongs to another site. */
export function binName(bin: Pick<Bin, 'label'> | undefined): string {
  return bin === undefined ? 'a bin of another site' : `bin ${bin.label}`;
}
