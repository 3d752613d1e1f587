import { addMinutes } from '@oilcan/core/kernel';
import type { Knex } from 'knex';
import { SqlRecords } from '../database/sql-records';
import { ROWS_PER_STEP, type Retention } from './retention';

/** Nobody hears any more of work that ended so long ago. */
const FOLLOWED_DAYS = 92;

/** That somebody follows a work order is of no use once it has long ended; their phones hear that it is gone. */
export const dropEndedFollows: Retention = {
  name: 'follows',
  async *steps(database, now) {
    const cut = addMinutes(now, -FOLLOWED_DAYS * 24 * 60);
    const some = (connection: Knex): Promise<string[]> =>
      connection('follows')
        .join('work_orders', 'work_orders.id', 'follows.work_order')
        .where('work_orders.ended', '<', cut)
        .orderBy('follows.id')
        .limit(ROWS_PER_STEP)
        .pluck('follows.id');
    for (let left = await some(database); left.length > 0; left = await some(database)) {
      await database.transaction(async (transaction) => {
        const ids = await some(transaction);
        await new SqlRecords(transaction).write(ids.map((id) => ({ table: 'follows', id, row: null })));
      });
      yield left.length;
    }
  },
};
