import { indexesOf, tableNames } from './tables';
import { visibilityKeyOf } from './visibility';

describe('who sees a table', () => {
  it.each(tableNames.map((table) => [table]))('is told of %s by a key that its rows have', (table) => {
    const key = visibilityKeyOf(table);
    const indexes = indexesOf(table).map(([index]) => index);
    expect(key === null || indexes.includes(key.column)).toBe(true);
  });

  it.each(tableNames.map((table) => [table]))(
    'of %s is not hidden behind a key that says it belongs to somebody',
    (table) => {
      const indexes = indexesOf(table).map(([index]) => index);
      const ownKeys = indexes.filter((index) => ['person', 'readers', 'site', 'sites'].includes(index));
      if (visibilityKeyOf(table) === null) expect(ownKeys).toEqual([]);
    },
  );
});
