import type { Change } from './records';
import { anyTable, type Fields, type TableName, type TableSet, type Upgrade } from './table';

/** A change that gives fields other names, where they are there. */
export function renaming(names: Readonly<Record<string, string>>): (row: Fields) => Fields {
  return (row) => {
    if (!Object.keys(names).some((name) => name in row)) return row;
    return Object.fromEntries(Object.entries(row).map(([name, value]) => [names[name] ?? name, value]));
  };
}

/** What should be a list of objects; none where it is something else. */
export function listOfFields(value: unknown): readonly Fields[] {
  return Array.isArray(value) ? (value as Fields[]) : [];
}

/** Carries out, one after another, the upgrades to a newer shape than `from`; gives the same row where there are none. */
export function upgraded(upgrades: readonly Upgrade[], row: Fields, from: number): Fields {
  return upgrades.filter(({ to }) => to > from).reduce((before, { change }) => change(before), row);
}

/** The tables whose rows have another shape now than they had at `from`. */
export function tablesToUpgrade(tables: TableSet, from: number): TableName[] {
  const names = Object.keys(tables) as TableName[];
  return names.filter((name) => anyTable(tables, name).upgrades.some(({ to }) => to > from));
}

/** A row that was kept in the shape of `from`, in the shape of today; of a table that nobody knows any more, as it was. */
export function upgradedChange(tables: TableSet, change: Change, from: number): Change {
  if (change.row === null || !Object.hasOwn(tables, change.table)) return change;
  const { upgrades } = anyTable(tables, change.table);
  const before = change.row as unknown as Fields;
  const after = upgraded(upgrades, before, from);
  return after === before ? change : ({ ...change, row: after } as unknown as Change);
}
