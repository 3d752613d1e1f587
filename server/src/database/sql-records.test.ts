import { tableNamed, tableNames } from '@oilcan/core/registry';
import { aStep, workId, describeRecords } from '@oilcan/core/testing';
import type { Knex } from 'knex';
import { freshDatabase } from '../testing/fresh-database';
import { currentRevision } from './revisions';
import { SqlRecords, sqlName } from './sql-records';

let database: Knex;
beforeAll(async () => {
  database = await freshDatabase();
});
afterAll(() => database.destroy());

/** Each test runs in a transaction that is undone. */
const inTransaction = async (
  test: (records: SqlRecords, transaction: Knex.Transaction) => Promise<void>,
): Promise<void> => {
  const transaction = await database.transaction();
  try {
    await test(new SqlRecords(transaction), transaction);
  } finally {
    await transaction.rollback();
  }
};

describeRecords('SqlRecords', inTransaction);

describe('SqlRecords', () => {
  it('gives every row that is written the next revision', () =>
    inTransaction(async (records, transaction) => {
      const before = await currentRevision(transaction);
      await records.put('steps', aStep(1));
      await records.put('steps', aStep(2));
      await records.remove('steps', aStep(1).id);
      expect(await currentRevision(transaction)).toBe(before + 3);
      const left: { revision: number }[] = await transaction('steps').where('work_order', workId).select('revision');
      expect(left).toEqual([{ revision: before + 2 }]);
    }));

  it('forgets a removal when the row comes back', () =>
    inTransaction(async (records, transaction) => {
      const clock = {
        id: 'ann' as never,
        siteId: 'site' as never,
        workOrderId: workId,
        startedAt: '2026-11-23T11:00:00.000Z' as never,
      };
      await records.put('clocks', clock);
      await records.remove('clocks', 'ann');
      expect(await transaction('removals').select('table_name', 'id', 'audience')).toEqual([
        { table_name: 'clocks', id: 'ann', audience: 'site:site' },
      ]);
      await records.put('clocks', clock);
      expect(await transaction('removals')).toEqual([]);
    }));

  it('writes many rows as one', () =>
    inTransaction(async (records) => {
      const steps = Array.from({ length: 1_000 }, (_, index) => aStep(index + 1));
      await records.write(steps.map((row) => ({ table: 'steps', id: row.id, row })));
      expect(await records.list('steps', 'workOrder', workId)).toHaveLength(1_000);
    }));
});

describe('the migrations', () => {
  it('leave a column for every index of every table', async () => {
    for (const table of tableNames) {
      const columns = Object.keys(await database(sqlName(table)).columnInfo());
      expect(columns.sort()).toEqual(
        ['body', 'id', 'revision', ...Object.keys(tableNamed(table).indexes).map(sqlName)].sort(),
      );
    }
  });
});
