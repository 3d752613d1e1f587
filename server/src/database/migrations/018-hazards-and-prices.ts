import type { Knex } from 'knex';
import { rowsInBatches } from './rows-in-batches';
import { createRowTables } from './row-tables';

/** Leads who have every site have set what holds on all of them until now, and may go on. */
async function nameResponsible(database: Knex): Promise<void> {
  const sites: string[] = await database('sites').pluck('id');
  for await (const rows of rowsInBatches(database, 'people'))
    for (const { id, body: stored } of rows) {
      const body = JSON.parse(stored) as { readonly roles?: unknown; readonly siteIds?: unknown };
      const [roles, own] = [body.roles, body.siteIds].map((list) => (Array.isArray(list) ? list : []));
      if (roles?.includes('lead') !== true || sites.length === 0 || !sites.every((site) => own?.includes(site)))
        continue;
      await database('people')
        .where('id', id)
        .update({ body: JSON.stringify({ ...body, isResponsibleForAll: true }) });
    }
}

/** The hazard register, what parts cost on each site, and the machine of each work order while it is open, by which what was noticed there is found. */
export const hazardsAndPrices = {
  name: '018-hazards-and-prices',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, { hazard_register: ['site'], site_prices: ['site', 'part'] });
    await database.schema.alterTable('work_orders', (table) => void table.string('open_on', 160).nullable().index());
    await database('work_orders')
      .whereNull('ended')
      .update({ open_on: database.ref('asset') });
    await nameResponsible(database);
  },
};
