import type { PartId } from '@oilcan/core/kernel';
import type { Bin, Part, StockLevel } from '@oilcan/core/stores/stock';

/** Parts whose number or name holds every word, those first whose number begins with it. */
export function findParts(parts: readonly Part[], find: string): Part[] {
  const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const first = words[0];
  if (first === undefined) return [];
  const found = parts.filter((part) => {
    const text = `${part.number} ${part.name}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const rank = (part: Part): number => (part.number.toLowerCase().startsWith(first) ? 0 : 1);
  return found.sort((a, b) => rank(a) - rank(b) || (a.number < b.number ? -1 : 1));
}

/** The parts that lie in a bin with this label; none when no bin has it. */
export function partsInBin(label: string, bins: readonly Bin[], stock: readonly StockLevel[]): ReadonlySet<PartId> {
  const wanted = label.trim().toLowerCase();
  const ids = new Set(bins.filter((bin) => bin.label.toLowerCase() === wanted).map(({ id }) => id));
  return new Set(stock.filter(({ binId }) => ids.has(binId)).map(({ partId }) => partId));
}

/** The parts of which there are bins among these. */
export function partsOf(stock: readonly StockLevel[], parts: readonly Part[]): Part[] {
  const ids = new Set<string>(stock.map(({ partId }) => partId));
  return parts.filter(({ id }) => ids.has(id));
}
