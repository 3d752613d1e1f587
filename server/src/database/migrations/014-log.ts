import { createHash } from 'node:crypto';
import type { Knex } from 'knex';

const AT_ONCE = 400;

interface OldOperation {
  readonly id: string;
  readonly by_person: string;
  readonly args: string;
}

/** What each operation changed, on which site, and what it is about, so that who did what can be read. */
export const log = {
  name: '014-log',
  up: async (database: Knex): Promise<void> => {
    await database.schema.alterTable('operations', (table) => {
      table.text('changed').nullable();
      table.string('device_words', 80).nullable();
      table.string('site', 64).nullable();
      table.index(['site', 'received_at']);
    });
    await database.schema.createTable('operation_things', (table) => {
      table.string('thing', 140).notNullable();
      table.string('operation', 64).notNullable();
      table.primary(['thing', 'operation']);
    });
    await forgetPrivate(database);
    await fillOld(database);
  },
};

/** Whose business nobody else has; named here as they were called then. */
const privateThen = ['time.add', 'time.amend', 'time.remove', 'clock-place.agree', 'clock-place.note'];

/** Where somebody was and what they did on no job does not stay in the log; by its digest it is known again. */
async function forgetPrivate(database: Knex): Promise<void> {
  for (let last = ''; ;) {
    const rows: OldOperation[] = await database('operations')
      .whereIn('name', privateThen)
      .where('id', '>', last)
      .orderBy('id')
      .limit(AT_ONCE)
      .select('id', 'by_person', 'args');
    if (rows.length === 0) return;
    for (const { id, args } of rows) {
      const sha256 = createHash('sha256').update(args).digest('hex');
      await database('operations')
        .where('id', id)
        .update({ args: JSON.stringify({ sha256 }) });
    }
    last = rows.at(-1)?.id ?? '';
  }
}

/** Of what was logged before, as much is known as its arguments and its person say. */
async function fillOld(database: Knex): Promise<void> {
  const sites = new Map<string, string | null>();
  for (let last = ''; ;) {
    const rows: OldOperation[] = await database('operations')
      .whereNotIn('name', privateThen)
      .where('id', '>', last)
      .orderBy('id')
      .limit(AT_ONCE)
      .select('id', 'by_person', 'args');
    if (rows.length === 0) return;
    for (const { id, by_person: by, args } of rows) {
      if (!sites.has(by)) sites.set(by, await firstSite(database, by));
      await database('operations')
        .where('id', id)
        .update({ site: sites.get(by) ?? null });
      const workOrderId = workIn(args);
      if (workOrderId !== null)
        await database('operation_things').insert({ thing: `workOrders:${workOrderId}`, operation: id });
    }
    last = rows.at(-1)?.id ?? '';
  }
}

async function firstSite(database: Knex, person: string): Promise<string | null> {
  const stored: { body: string } | undefined = await database('people').where('id', person).first('body');
  const { siteIds = [] } = stored === undefined ? {} : (JSON.parse(stored.body) as { siteIds?: string[] });
  return siteIds[0] ?? null;
}

function workIn(args: string): string | null {
  const given: unknown = JSON.parse(args);
  if (typeof given !== 'object' || given === null || !('workOrderId' in given)) return null;
  return typeof given.workOrderId === 'string' && given.workOrderId.length <= 64 ? given.workOrderId : null;
}
