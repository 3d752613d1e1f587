import type { Knex } from 'knex';
import { rowsInBatches } from './rows-in-batches';

interface Numbered {
  readonly number: string;
}

/**
 * Work orders are found by their number and by what they came from; devices are lent numbers ahead. Until when somebody could
 * know of others has the name that operations have for it.
 */
export const numbers = {
  name: '007-numbers',
  up: async (database: Knex): Promise<void> => {
    await database.schema.alterTable('operations', (table) => {
      table.renameColumn('knew', 'known_until');
    });
    await database.schema.alterTable('work_orders', (table) => {
      table.string('number', 160).nullable().index();
      table.string('came_from', 160).nullable().index();
    });
    let highest = 0;
    for await (const works of rowsInBatches(database, 'work_orders')) {
      for (const { id, body } of works) {
        const { number } = JSON.parse(body) as Numbered;
        highest = Math.max(highest, Number(/^W-(\d{1,12})$/.exec(number)?.[1] ?? 0));
        await database('work_orders').where('id', id).update({ number });
      }
    }
    await database('counters').insert({ name: 'work_order_number', value: highest });
    await database.schema.createTable('lent_numbers', (table) => {
      table.string('number', 64).primary();
      table.string('series', 32).notNullable();
      table.string('device', 64).notNullable();
      table.string('person', 64).notNullable();
      table.string('lent_at', 40).notNullable();
      table.string('taken_by', 64).nullable();
      table.index(['series', 'device', 'taken_by']);
      table.index(['series', 'person', 'taken_by']);
    });
  },
};
