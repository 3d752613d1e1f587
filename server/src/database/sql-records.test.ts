import { tableNamed, tableNames } from '@oilcan/core/registry';
import { aStep, workId, describeRecords } from '@oilcan/core/testing';
import { asId, type PersonId } from '@oilcan/core/kernel';
import type { Knex } from 'knex';
import { freshDatabase } from '../testing/fresh-database';
import { currentRevision } from './revisions';
import { sqlName } from './sql-names';
import { SqlRecords } from './sql-records';

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

const linesOf = (transaction: Knex.Transaction, table: string): Promise<object[]> =>
  transaction('feed').where('table_name', table).orderBy('revision').select('id', 'audience', 'is_gone');

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

  it('says that a row is gone, and that it came back', () =>
    inTransaction(async (records, transaction) => {
      const clock = {
        id: 'ann' as never,
        siteId: 'site' as never,
        workOrderId: workId,
        startedAt: '2026-11-23T11:00:00.000Z' as never,
      };
      await records.put('clocks', clock);
      await records.remove('clocks', 'ann');
      expect(await linesOf(transaction, 'clocks')).toEqual([
        { id: 'ann', audience: 'site:site', is_gone: 0 },
        { id: 'ann', audience: 'site:site', is_gone: 1 },
      ]);
      await records.put('clocks', clock);
      expect((await linesOf(transaction, 'clocks')).at(-1)).toMatchObject({ is_gone: 0 });
    }));

  it('keeps rows that many may read and that name many files', () =>
    inTransaction(async (records, transaction) => {
      const many = Array.from({ length: 60 }, (_, index) => `${index}`.padStart(64, 'f'));
      const bag = { id: asId<PersonId>('ann'), workOrderIds: [], sharedWith: many.map(asId<PersonId>), inBag: {} };
      await records.put('kitLists', bag);
      expect(await records.get('kitLists', 'ann')).toEqual(bag);
      expect(await linesOf(transaction, 'kit_lists')).toHaveLength(61);
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
