import { Readable } from 'node:stream';
import { aWorkOrder, ann, workId } from '@oilcan/core/testing';
import type { Knex } from 'knex';
import { findAccount } from '../accounts/accounts';
import { openDatabase } from '../db/connection';
import { loadRows } from './load';

let database: Knex;
beforeEach(async () => {
  database = await openDatabase(':memory:');
});
afterEach(() => database.destroy());

const load = (lines: readonly unknown[]): Promise<number> =>
  loadRows(database, Readable.from(lines.map((line) => `${JSON.stringify(line)}\n`)));

describe('loading JSON lines', () => {
  it('puts rows and accounts', async () => {
    const lines = [
      { table: 'workOrders', row: aWorkOrder() },
      { table: 'people', row: ann },
      { account: { person: ann.id, name: 'Ann', password: 'x' } },
    ];
    expect(await load(lines)).toBe(2);
    expect(await database('work_orders').pluck('id')).toEqual([workId]);
    expect(await findAccount(database, 'ANN')).toMatchObject({ person: ann.id });
  });

  it.each([[{ table: 'users', row: { id: '1' } }], [{ table: 'people', row: {} }], [{ nothing: true }]])(
    'names the line that is wrong: %j',
    async (line) => {
      await expect(load([{ table: 'people', row: ann }, line])).rejects.toThrow('Line 2');
    },
  );
});
