import { useMemo } from 'react';
import { byId, type StoreId } from '@oilcan/core/kernel';
import type { Count } from '@oilcan/core/stores/counts';
import { compareByWalk, wantsCount, type Bin, type Part, type StockLevel } from '@oilcan/core/stores/stock';
import { useTable } from '../../../data/store/store';

/** A part in a bin that can be counted. */
export interface ToCount {
  readonly level: StockLevel;
  readonly bin: Bin;
  readonly part: Part;
  /** Counted, and not decided yet; undefined for not counted. */
  readonly kept: Count | undefined;
}

/** The bins of a store as one walks past them, those first that stand below zero. */
export function useBinsToCount(storeId: StoreId | undefined): readonly ToCount[] {
  const levels = useTable('stock');
  const bins = useTable('bins');
  const parts = useTable('parts');
  const counts = useTable('counts');
  return useMemo(() => {
    const binOf = byId(bins.filter((bin) => bin.storeId === storeId));
    const partOf = byId(parts);
    const keptOf = new Map(
      counts.filter(({ settled }) => settled === null).map((count) => [`${count.partId}@${count.binId}`, count]),
    );
    return levels
      .flatMap((level): ToCount[] => {
        const bin = binOf.get(level.binId);
        const part = partOf.get(level.partId);
        return bin === undefined || part === undefined ? [] : [{ level, bin, part, kept: keptOf.get(level.id) }];
      })
      .sort(
        (a, b) =>
          Number(wantsCount(b.level)) - Number(wantsCount(a.level)) ||
          compareByWalk({ store: undefined, bin: a.bin }, { store: undefined, bin: b.bin }),
      );
  }, [levels, bins, parts, counts, storeId]);
}
