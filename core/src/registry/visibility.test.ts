import { tableNamed, tableNames } from './tables';
import { visibilityKeyOf } from './visibility';

describe('who sees a table', () => {
  it.each(tableNames.map((table) => [table]))('is told of %s by a key that its rows have', (table) => {
    const key = visibilityKeyOf(table);
    expect(key === null || Object.hasOwn(tableNamed(table).indexes, key.column)).toBe(true);
  });

  it.each(tableNames.map((table) => [table]))(
    'of %s is not hidden behind a key that says it belongs to somebody',
    (table) => {
      const indexes = Object.keys(tableNamed(table).indexes);
      const ownKeys = indexes.filter((index) => ['person', 'readers', 'site', 'sites'].includes(index));
      if (visibilityKeyOf(table) === null) expect(ownKeys).toEqual([]);
    },
  );
});
