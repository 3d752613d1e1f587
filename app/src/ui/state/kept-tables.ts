import { keptChoice } from './kept-choice';

/** How somebody wants to see a table. */
export interface KeptTable {
  /** The columns that are not wanted, by their ids; null before anybody chose. */
  readonly hidden: readonly string[] | null;
  /** By which column it is sorted; null for as it comes. */
  readonly sortedBy: { readonly id: string; readonly desc: boolean } | null;
}

const asItComes: KeptTable = { hidden: null, sortedBy: null };

/** How the person wants each table, by the table's name. */
const useKeptTables = keptChoice<Readonly<Record<string, KeptTable>>>(
  'oilcan.tables',
  {},
  {
    read: (kept) =>
      typeof kept === 'object' && kept !== null
        ? Object.fromEntries(Object.entries(kept).map(([name, table]) => [name, readTable(table)]))
        : {},
    isPersonal: true,
  },
);

/** How a table was kept; as it comes, of what is none of it. */
export function readTable(kept: unknown): KeptTable {
  if (typeof kept !== 'object' || kept === null) return asItComes;
  const { hidden, sortedBy } = kept as Readonly<Record<string, unknown>>;
  return {
    hidden: Array.isArray(hidden) ? hidden.filter((id): id is string => typeof id === 'string') : null,
    sortedBy: isSorting(sortedBy) ? { id: sortedBy.id, desc: sortedBy.desc } : null,
  };
}

function isSorting(kept: unknown): kept is { readonly id: string; readonly desc: boolean } {
  if (typeof kept !== 'object' || kept === null) return false;
  const { id, desc } = kept as Readonly<Record<string, unknown>>;
  return typeof id === 'string' && typeof desc === 'boolean';
}

/** How the person wants a table now; null where they never said. */
export function peekKeptTable(name: string): KeptTable | null {
  return useKeptTables.getState().value[name] ?? null;
}

/** A table as it is to be seen from now on. */
export function keepTable(name: string, table: KeptTable): void {
  const { value, choose } = useKeptTables.getState();
  choose({ ...value, [name]: table });
}

/** One table as the person wants it, and how that is changed. */
export function useKeptTable(name: string): readonly [KeptTable, (table: KeptTable) => void] {
  const table = useKeptTables(({ value }) => value[name]) ?? asItComes;
  return [table, (next) => keepTable(name, next)];
}
