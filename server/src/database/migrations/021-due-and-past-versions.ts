import type { Knex } from 'knex';

/** When open work is due, by which what became late is found; and by which version of the program a past was summarised. */
export const dueAndPastVersions = {
  name: '021-due-and-past-versions',
  up: async (database: Knex): Promise<void> => {
    await database.schema.alterTable('work_orders', (table) => void table.string('due', 160).nullable().index());
    const open: { id: string; body: string }[] = await database('work_orders').whereNull('ended').select('id', 'body');
    for (const { id, body } of open) {
      const { dueAt } = JSON.parse(body) as { readonly dueAt?: unknown };
      if (typeof dueAt === 'string') await database('work_orders').where('id', id).update({ due: dueAt });
    }
    // Of those that are there nobody knows: they are summarised anew when they are read, or before.
    await database.schema.alterTable('past_jobs', (table) => {
      table.bigInteger('version').notNullable().defaultTo(0).index();
    });
    await database('counters').where('name', 'past_version').delete();
  },
};
