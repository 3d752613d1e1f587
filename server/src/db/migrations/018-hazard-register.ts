import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** The hazard register, and the machine of each work order while it is open, by which what was noticed there is found. */
export const hazardRegister = {
  name: '018-hazard-register',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, { hazard_register: ['site'] });
    await database.schema.alterTable('work_orders', (table) => void table.string('open_on', 160).nullable().index());
    await database('work_orders')
      .whereNull('ended')
      .update({ open_on: database.ref('asset') });
  },
};
