import type { Knex } from 'knex';
import { rowsInBatches } from './rows-in-batches';
import { createRowTables } from './row-tables';

/** Tables that came with preparing, each with the columns by which its rows are listed. */
const rowTables: Readonly<Record<string, readonly string[]>> = {
  documents: ['site', 'asset', 'file'],
  installations: ['site', 'asset'],
  codes: ['site', 'asset'],
  kit_lists: [],
  notices: ['person'],
  follows: ['person', 'work_order'],
  notice_choices: ['person'],
};

/** What work orders did not have before. */
interface Earlier {
  readonly kit: readonly { readonly unit?: string | null }[];
}

async function fillWorkOrders(database: Knex): Promise<void> {
  for await (const works of rowsInBatches(database, 'work_orders')) {
    for (const { id, body } of works) {
      const earlier = JSON.parse(body) as Earlier;
      const kit = earlier.kit.map((part) => ({ unit: null, ...part }));
      await database('work_orders')
        .where('id', id)
        .update({ body: JSON.stringify({ tools: [], isolation: [], formerly: null, ...earlier, kit }) });
    }
  }
}

/** Documents, numbered parts, labels, kit lists and notices; tools and isolation of work orders, and who had them. */
export const preparing = {
  name: '004-preparing',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, rowTables);
    await database.schema.createTable('mail_queue', (table) => {
      table.increments('id');
      table.string('person', 64).notNullable();
      table.text('notice').notNullable();
      table.string('queued_at', 40).notNullable();
    });
    await database.schema.createTable('mails', (table) => {
      table.string('id', 64).primary();
      table.string('person', 64).notNullable().index();
      table.string('subject', 400).notNullable();
      table.text('body').notNullable();
      table.string('sent_at', 40).notNullable();
    });
    // What is carried is found among a million that are not.
    await database.schema.alterTable('work_orders', (table) => {
      table.index(['site', 'ended']);
    });
    await fillWorkOrders(database);
  },
};
