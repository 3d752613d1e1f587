import type { Knex } from 'knex';
import { rowsInBatches } from './rows-in-batches';

const ROWS_PER_STATEMENT = 400;

async function fillAssignments(database: Knex): Promise<void> {
  for await (const works of rowsInBatches(database, 'work_orders')) {
    const rows = works.flatMap(({ id, body }) => {
      const { personIds, crewId } = JSON.parse(body) as { personIds: string[]; crewId: string | null };
      const assignees = new Set([...personIds, ...(crewId === null ? [] : [crewId])]);
      return [...assignees].map((assignee) => ({ work_order: id, assignee }));
    });
    if (rows.length > 0) await database.batchInsert('assignments', rows, ROWS_PER_STATEMENT);
  }
}

/** What a device knew when it made an operation, to whom work is given, and the files that entries name. */
export const filesAndDeviceClocks = {
  name: '002-files-and-device-clocks',
  up: async (database: Knex): Promise<void> => {
    await database.schema.alterTable('operations', (table) => {
      table.bigInteger('ahead').notNullable().defaultTo(0);
      table.string('knew', 40).nullable();
    });
    // Operations as they came from the future: their devices stamp them anew, and a late copy is not to be judged.
    await database.schema.createTable('early_operations', (table) => {
      table.string('id', 64).notNullable();
      table.bigInteger('ahead').notNullable();
      table.primary(['id', 'ahead']);
    });
    await database.schema.alterTable('entries', (table) => {
      table.string('file', 64).nullable().index();
    });
    await database.schema.createTable('assignments', (table) => {
      table.string('work_order', 160).notNullable();
      table.string('assignee', 160).notNullable().index();
      table.primary(['work_order', 'assignee']);
    });
    await fillAssignments(database);
    await database.schema.createTable('files', (table) => {
      table.string('id', 64).primary();
      table.string('media_type', 64).notNullable();
      table.integer('bytes').notNullable();
      table.string('by_person', 64).notNullable();
      table.string('received_at', 40).notNullable();
    });
  },
};
