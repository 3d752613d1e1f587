import { createHash, randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { createRowTables } from './row-tables';
import { rowsInBatches } from './rows-in-batches';

type Body = Record<string, unknown>;

interface Columns {
  /** The row with its new shape. */
  readonly body: Body;
  /** Columns that follow from it. */
  readonly columns?: Record<string, string | null>;
}

const text = (value: unknown): string => (typeof value === 'string' ? value : '');
const list = (value: unknown): string[] => (Array.isArray(value) ? value.map(text) : []);
const among = (ids: readonly string[]): string => `|${ids.join('|')}|`;

/** Rewrites every row of a table, as far as it changes. */
async function rewrite(database: Knex, table: string, change: (body: Body) => Columns): Promise<void> {
  for await (const rows of rowsInBatches(database, table)) {
    for (const { id, body: stored } of rows) {
      const { body, columns = {} } = change(JSON.parse(stored) as Body);
      const written = JSON.stringify(body);
      if (written !== stored || Object.keys(columns).length > 0)
        await database(table)
          .where('id', id)
          .update({ ...columns, body: written });
    }
  }
}

function renamed(body: Body, from: string, to: string): Body {
  if (!(from in body)) return body;
  const { [from]: value, ...rest } = body;
  return { ...rest, [to]: value };
}

/** Rates leave the settings, which everybody has, for a table that only some see: one for every trade of every site. */
async function moveRates(database: Knex, siteIds: readonly string[], revision: number): Promise<number> {
  const stored: { body: string } | undefined = await database('settings').where('id', 'settings').first('body');
  if (stored === undefined) return 150;
  const { crafts, overtimePercent, ...rest } = JSON.parse(stored.body) as Body;
  const percent = typeof overtimePercent === 'number' ? overtimePercent : 150;
  const trades = Array.isArray(crafts) ? (crafts as Body[]) : [];
  const settings = {
    ...rest,
    trades: trades.map(({ id, name }) => ({ id, name })),
    laborCostSeenBy: ['lead'],
  };
  await database('settings')
    .where('id', 'settings')
    .update({ body: JSON.stringify(settings) });
  for (const siteId of siteIds) {
    for (const { id, rateMinorPerHour } of trades) {
      const row = {
        id: `${siteId}@${text(id)}`,
        siteId,
        tradeId: text(id),
        minorPerHour: rateMinorPerHour,
        overtimePercent: percent,
      };
      await database('rates').insert({ id: row.id, revision, site: siteId, body: JSON.stringify(row) });
    }
  }
  return percent;
}

/** What an hour of a recorded time had cost, found from its cost. */
function withRate(content: Body, overtimePercent: number): Body {
  const cost = content['cost'] as { minor: number; currency: string } | null;
  const minutes = Number(content['minutes']);
  if (cost === null || !(minutes > 0)) return { ...content, rate: null };
  const percent = content['timeType'] === 'overtime' ? overtimePercent : 100;
  const minorPerHour = (cost.minor * 60 * 100) / (minutes * percent);
  return { ...content, rate: { minorPerHour, overtimePercent, currency: cost.currency } };
}

function withUnitPrice(content: Body): Body {
  const cost = content['cost'] as { minor: number; currency: string };
  const quantity = Number(content['quantity']);
  const minor = quantity > 0 ? (cost.minor * 1000) / quantity : 0;
  return { ...content, unitPrice: { minor, currency: cost.currency } };
}

function changedEntry(body: Body, overtimePercent: number): Body {
  const content = body['content'] as Body;
  switch (content['kind']) {
    case 'labor':
      return { ...body, content: withRate(content, overtimePercent) };
    case 'part':
      return { ...body, content: withUnitPrice(content) };
    case 'hazard':
      return { ...body, content: renamed(content, 'precaution', 'control') };
    default:
      return body;
  }
}

function changedWork(body: Body): Columns {
  const hazards = (Array.isArray(body['hazards']) ? (body['hazards'] as Body[]) : []).map((hazard) =>
    renamed(hazard, 'precaution', 'control'),
  );
  const isClosed = body['state'] === 'accepted' || body['state'] === 'dropped';
  const turned = body['turned'] as { since: string } | null | undefined;
  const closedAt = typeof body['closedAt'] === 'string' ? body['closedAt'] : null;
  // Work ends when it is accepted or dropped, by the server's time; what is finished waits.
  const ended = isClosed ? (turned?.since ?? closedAt) : null;
  return { body: { ...renamed(body, 'craftId', 'tradeId'), hazards }, columns: { ended } };
}

/** Every table says whose its rows are; what only some may see has tables and columns of its own. */
export const whoseRowsAre = {
  name: '006-whose-rows-are',
  up: async (database: Knex): Promise<void> => {
    await createRowTables(database, { rates: ['site'] });
    for (const [table, columns] of [
      ['people', ['sites']],
      ['crews', ['sites']],
      ['sites', ['site']],
      ['assets', ['tag']],
      ['stock', ['site']],
      ['kit_lists', ['readers']],
    ] as const) {
      await database.schema.alterTable(table, (altered) => {
        for (const column of columns) altered.string(column, 4_000).nullable().index();
      });
    }

    const counter: { value: number | string } | undefined = await database('counters')
      .where('name', 'revision')
      .first();
    const revision = Number(counter?.value ?? 0) + 1;
    await database('counters').where('name', 'revision').update({ value: revision });
    const siteIds: string[] = await database('sites').pluck('id');
    const overtimePercent = await moveRates(database, siteIds, revision);
    await rewrite(database, 'sites', (body) => ({
      body: { ...body, zone: null, currency: null },
      columns: { site: text(body['id']) },
    }));
    const sitesOf = new Map<string, string[]>();
    await rewrite(database, 'people', (body) => {
      sitesOf.set(text(body['id']), list(body['siteIds']));
      return { body: renamed(body, 'craftId', 'tradeId'), columns: { sites: among(list(body['siteIds'])) } };
    });
    await rewrite(database, 'crews', (body) => {
      const ofMembers = [...new Set(list(body['memberIds']).flatMap((id) => sitesOf.get(id) ?? []))].sort();
      return { body: { ...body, siteIds: ofMembers }, columns: { sites: among(ofMembers) } };
    });
    await rewrite(database, 'assets', (body) => ({
      body,
      columns: { tag: text(body['tag']).trim().toUpperCase().replace(/\s+/g, ' ') },
    }));
    const siteOfBin = new Map<string, string>();
    for await (const rows of rowsInBatches(database, 'bins'))
      for (const { id, body } of rows) siteOfBin.set(id, text((JSON.parse(body) as Body)['siteId']));
    await rewrite(database, 'stock', (body) => {
      const siteId = siteOfBin.get(text(body['binId'])) ?? '';
      return { body: { ...body, siteId }, columns: { site: siteId } };
    });
    await rewrite(database, 'kit_lists', (body) => ({
      body,
      columns: { readers: among([text(body['id']), ...list(body['sharedWith'])]) },
    }));
    await rewrite(database, 'codes', (body) => ({ body: { ...body, previous: [] } }));
    await rewrite(database, 'work_orders', changedWork);
    await rewrite(database, 'entries', (body) => ({ body: changedEntry(body, overtimePercent) }));
    await rewrite(database, 'notices', (body) => {
      const { detail, ...rest } = body;
      return { body: { ...rest, facts: text(detail) === '' ? [] : [{ is: 'reason', reason: detail }] } };
    });

    // Whom a removal concerns: `site:…`, `person:…`, or everybody.
    await database.schema.renameTable('removals', 'earlier_removals');
    await database.schema.createTable('removals', (table) => {
      table.string('table_name', 64).notNullable();
      table.string('id', 160).notNullable();
      table.string('audience', 170).notNullable();
      table.bigInteger('revision').notNullable().index('removals_by_revision');
      table.primary(['table_name', 'id', 'audience'], 'removals_of_an_audience');
    });
    const earlier: { table_name: string; id: string; site: string | null; revision: number }[] =
      await database('earlier_removals');
    for (const { table_name, id, site, revision: at } of earlier) {
      const audience =
        site !== null ? `site:${site}` : table_name === 'follows' ? `person:${id.split('@')[0] ?? ''}` : 'everybody';
      await database('removals').insert({ table_name, id, audience, revision: at });
    }
    await database.schema.dropTable('earlier_removals');

    // Who has brought a file: whoever else names it must be able to see it already.
    await database.schema.createTable('file_bringers', (table) => {
      table.string('file', 64).notNullable();
      table.string('person', 64).notNullable();
      table.primary(['file', 'person']);
    });
    const files: { id: string; by_person: string }[] = await database('files').select('id', 'by_person');
    for (const { id, by_person } of files)
      if (by_person !== '') await database('file_bringers').insert({ file: id, person: by_person });

    // Sessions are known by a name that is no secret, and count from their last use.
    await database.schema.alterTable('sessions', (table) => {
      table.string('id', 64).nullable().index();
      table.string('last_used_at', 40).nullable();
      table.string('device', 200).notNullable().defaultTo('');
    });
    const sessions: { token_hash: string; created_at: string }[] = await database('sessions');
    for (const { token_hash, created_at } of sessions) {
      const id = createHash('sha256').update(token_hash).digest('hex').slice(0, 32);
      await database('sessions').where('token_hash', token_hash).update({ id, last_used_at: created_at });
    }

    // A mail has one name however often it is tried; one that cannot be delivered holds up no other.
    await database.schema.alterTable('mail_queue', (table) => {
      table.string('mail_id', 64).nullable();
      table.integer('tries').notNullable().defaultTo(0);
      table.string('next_try_at', 40).nullable();
      table.string('put_aside_at', 40).nullable();
    });
    const waiting: { id: number; notice: string }[] = await database('mail_queue').select('id', 'notice');
    for (const { id, notice } of waiting) {
      const { detail, ...rest } = JSON.parse(notice) as Body;
      const facts = text(detail) === '' ? [] : [{ is: 'reason', reason: detail }];
      await database('mail_queue')
        .where('id', id)
        .update({ mail_id: randomUUID(), notice: JSON.stringify({ ...rest, facts }) });
    }
    // Everything that phones carry has a new shape.
    await database('identity').update({ id: randomUUID() });
  },
};
