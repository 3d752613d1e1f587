import { useMemo, type ReactElement, type ReactNode } from 'react';
import { formatMoney } from '@oilcan/core/kernel';
import {
  isLow,
  partCost,
  type Bin,
  type Part,
  type StockLevel,
  type Store,
  wantsCount,
} from '@oilcan/core/stores/stock';
import { useUnitPrices } from '../../../data/queries/stock';
import { useSettings } from '../../../data/store/store';
import { withSharedCode } from '../../../ui/loading/shared-code';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import type { TableColumn, TableProps } from '../../../ui/layout/sorted-table';
import { amountOf } from '../../../words/amounts';

/** A part in one bin, or one that lies nowhere. */
interface Line {
  readonly part: Part;
  readonly level: StockLevel | null;
  readonly bin: string;
  readonly store: string;
}

interface Props {
  readonly parts: readonly Part[];
  readonly stock: readonly StockLevel[];
  readonly bins: ReadonlyMap<string, Bin>;
  readonly stores: ReadonlyMap<string, Store>;
  /** Above the rows, with what saves them. */
  readonly top: (save: () => void) => ReactNode;
  readonly empty: ReactElement;
}

const Table = lazyComponent<TableProps<Line>>(() =>
  import('../../../ui/layout/sorted-table').then((module) => module.SortedTable<Line>),
);
const byBin = { id: 'bin', desc: false };
const THOUSANDTHS = 1_000;

/** On a wide screen: a row for each part in each bin, sorted by any column, and saved as CSV. */
export function StoresTable({ parts, stock, bins, stores, top, empty }: Props): ReactElement {
  const settings = useSettings();
  const unitPriceOn = useUnitPrices();
  const lines = useMemo(() => linesOf(parts, stock, bins, stores), [parts, stock, bins, stores]);
  const columns = useMemo((): readonly TableColumn<Line>[] => {
    const price = ({ part, level }: Line): string => {
      const unitPrice = unitPriceOn(part, level?.siteId);
      if (settings === undefined || unitPrice === undefined) return '';
      return `${formatMoney(partCost(THOUSANDTHS, unitPrice), settings.language)} per ${part.unit}`;
    };
    return [
      { id: 'bin', heading: 'Bin', width: 84, value: ({ bin }) => bin },
      { id: 'store', heading: 'Store', width: 130, value: ({ store }) => store },
      { id: 'number', heading: 'Number', width: 150, value: ({ part }) => part.number },
      { id: 'part', heading: 'Part', width: 240, grows: true, value: ({ part }) => part.name },
      {
        id: 'onHand',
        heading: 'On hand',
        width: 110,
        isFigure: true,
        value: ({ level }) => (level?.onHand ?? 0) / THOUSANDTHS,
        words: ({ level, part }) => amountOf(level?.onHand ?? 0, part),
      },
      {
        id: 'low',
        heading: 'Low below',
        width: 110,
        isFigure: true,
        value: ({ level }) => (level?.lowLevel ?? 0) / THOUSANDTHS,
        words: ({ level, part }) => (level?.lowLevel ? amountOf(level.lowLevel, part) : ''),
      },
      {
        id: 'price',
        heading: 'Price',
        width: 130,
        isFigure: true,
        value: ({ part, level }) => unitPriceOn(part, level?.siteId)?.minor ?? 0,
        words: price,
      },
      { id: 'state', heading: 'State', width: 150, value: stateOf },
    ];
  }, [settings, unitPriceOn]);
  const save = async (sorted: readonly Line[], shown: readonly TableColumn<Line>[]): Promise<void> => {
    const { saveTable } = await withSharedCode(() => import('../../../data/browser/save-table'));
    saveTable(
      'stores',
      shown.map(({ heading }) => heading),
      sorted.map((line) =>
        shown.map(({ id, value, words }) => (id === 'price' ? (words ?? value)(line) : value(line))),
      ),
    );
  };
  return (
    <>
      <Table
        name="stores"
        label="What lies in the bins"
        rows={lines}
        columns={columns}
        idOf={({ part, level }) => `${part.id} ${level?.binId ?? ''}`}
        sortedBy={byBin}
        top={(sorted, shown) => top(() => void save(sorted, shown))}
        empty={empty}
        testIdOf={({ part }) => `part-${part.number}`}
        opens={{ column: 'number', does: { href: ({ part }) => `/stores/part/${part.id}` } }}
      />
    </>
  );
}

function stateOf({ part, level }: Line): string {
  const low = level === null ? [] : [...(isLow(level) ? ['low'] : []), ...(wantsCount(level) ? ['count it'] : [])];
  return [...low, ...(part.isObsolete ? ['no longer bought'] : [])].join(', ');
}

function linesOf(
  parts: readonly Part[],
  stock: readonly StockLevel[],
  bins: ReadonlyMap<string, Bin>,
  stores: ReadonlyMap<string, Store>,
): Line[] {
  const byPart = new Map<string, StockLevel[]>();
  for (const level of stock) byPart.set(level.partId, [...(byPart.get(level.partId) ?? []), level]);
  return parts.flatMap((part): Line[] => {
    const levels = byPart.get(part.id) ?? [];
    if (levels.length === 0) return [{ part, level: null, bin: '', store: '' }];
    return levels.map((level) => {
      const bin = bins.get(level.binId);
      return {
        part,
        level,
        bin: bin?.label ?? '',
        store: bin === undefined ? '' : (stores.get(bin.storeId)?.name ?? ''),
      };
    });
  });
}
