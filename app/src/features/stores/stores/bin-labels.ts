import { byId } from '@oilcan/core/kernel';
import { binCode, labelText } from '@oilcan/core/plant/plant';
import type { Bin, Part, StockLevel, Store } from '@oilcan/core/stores/stock';
import type { Label } from '@oilcan/paper/label-formats';

interface BinRows {
  readonly stock: readonly StockLevel[];
  readonly bins: readonly Bin[];
  readonly stores: readonly Store[];
}

/** A label for each bin in which one of these parts lies, as one walks along the shelves; it names what lies there. */
export function binLabels(parts: readonly Part[], { stock, bins, stores }: BinRows): Label[] {
  const storeNames = new Map(stores.map(({ id, name }) => [id, name]));
  const wanted = byId(parts);
  const partsIn = new Map<string, Part[]>();
  for (const { partId, binId } of stock) {
    const part = wanted.get(partId);
    if (part !== undefined) partsIn.set(binId, [...(partsIn.get(binId) ?? []), part]);
  }
  const place = ({ storeId, label }: Bin): string => `${storeNames.get(storeId) ?? ''} ${label}`;
  return bins
    .filter(({ id }) => partsIn.has(id))
    .sort((a, b) => byShelf.compare(place(a), place(b)))
    .map((bin) => ({
      code: labelText(window.location.origin, binCode(storeNames.get(bin.storeId) ?? '', bin.label)),
      headline: bin.label,
      detail: (partsIn.get(bin.id) ?? []).map(({ number }) => number).join(', '),
    }));
}

const byShelf = new Intl.Collator('en', { numeric: true });
