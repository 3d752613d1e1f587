import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** The hazard register, what parts cost on each site, and the machine of each work order while it is open, by which what was noticed there is found. */
export const hazardsAndPrices = {
  name: '018-hazards-and-prices',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, { hazard_register: ['site'], site_prices: ['site', 'part'] });
    await database.schema.alterTable('work_orders', (table) => void table.string('open_on', 160).nullable().index());
    await database('work_orders')
      .whereNull('ended')
      .update({ open_on: database.ref('asset') });
  },
};
