import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Leave in writing for dangerous work, and whom to call. */
export const permitsAndContacts = {
  name: '005-permits-and-contacts',
  up: (database: Knex): Promise<void> =>
    createRowTables(database, { permits: ['site', 'work_order'], contacts: ['site'] }),
};
