import knex, { type Knex } from 'knex';
import { anAsset, aWorkOrder, bob, noon } from '@oilcan/core/testing';
import { asId, instantFromMillis, type CrewId, type WorkOrderId } from '@oilcan/core/kernel';
import { fillFeed } from '../feed/fill-feed';
import { bringShapesUpToDate } from '../shapes';
import { bringTextsUpToDate } from '../../find/note-texts';
import { bringPastUpToDate } from '../../past/note-past';
import { migrations } from './migrations';
import { asOfTheFirstVersion, asOfNow } from '../../testing/first-version';
import { openDatabase } from '../../open-database';
import { SqlRecords } from '../sql-records';
import { SqliteClient } from '../sqlite/sqlite-client';
import { testClock } from '../../testing/test-clock';

let database: Knex;
beforeEach(() => {
  database = knex({
    client: SqliteClient,
    connection: { filename: ':memory:' },
    useNullAsDefault: true,
    pool: { min: 1, max: 1 },
  });
});
afterEach(() => database.destroy());

/** Brings the database to the version that ended with this migration. */
async function migrateTo(last: string): Promise<void> {
  const all = await migrations.getMigrations([]);
  const until = all.findIndex((each) => migrations.getMigrationName(each) === last);
  await database.migrate.latest({
    migrationSource: { ...migrations, getMigrations: () => Promise.resolve(all.slice(0, until + 1)) },
  });
}

describe('a database of the first version', () => {
  it('knows after the second to whom its work is given, and keeps what was logged', async () => {
    await migrateTo('001-first-tables');
    const works = [
      aWorkOrder(),
      aWorkOrder({ id: asId<WorkOrderId>('w-2'), personIds: [bob.id, bob.id], crewId: asId<CrewId>('crew') }),
      aWorkOrder({ id: asId<WorkOrderId>('w-3'), personIds: [] }),
    ];
    await database('work_orders').insert(
      works.map((work) => ({ id: work.id, revision: 1, site: work.siteId, body: JSON.stringify(work) })),
    );
    await database('operations').insert({
      id: 'one',
      name: 'note.add',
      by_person: 'ann',
      device: 'd',
      at: '2026-11-23T12:00:00+01:00',
      received_at: '2026-11-23T11:00:01.000Z',
      args: '{}',
      outcome: '{"ok":true}',
      revision: 1,
    });
    await migrateTo('019-followed-machines');
    expect(await database('assignments').orderBy(['work_order', 'assignee'])).toEqual([
      { work_order: 'w-1', assignee: 'ann' },
      { work_order: 'w-2', assignee: 'bob' },
      { work_order: 'w-2', assignee: 'crew' },
    ]);
    expect(await database('operations').first('id', 'ahead', 'known_until')).toEqual({
      id: 'one',
      ahead: 0,
      known_until: null,
    });
  });

  it('has the past of its ended work after the third', async () => {
    await migrateTo('002-files-and-device-clocks');
    const asset = anAsset();
    const works = [aWorkOrder(), aWorkOrder({ id: asId<WorkOrderId>('w-2'), state: 'finished', finishedAt: noon })];
    await database('assets').insert({ id: asset.id, revision: 1, site: asset.siteId, body: JSON.stringify(asset) });
    await database('work_orders').insert(
      works.map((work) => ({
        id: work.id,
        revision: 1,
        site: work.siteId,
        asset: work.assetId,
        ended: work.finishedAt,
        body: JSON.stringify(work),
      })),
    );
    await database.migrate.latest({ migrationSource: migrations });
    await bringPastUpToDate(database);
    expect(await database('past_jobs').select('id', 'class')).toEqual([{ id: 'w-2', class: asset.equipmentClass }]);
  });

  it('has tools, isolation and the units of its kit after the fourth', async () => {
    await migrateTo('003-past');
    const { tools: _tools, isolation: _isolation, previousAssignees: _previous, ...earlier } = aWorkOrder();
    const kit = [{ partId: 'seal', binId: 'c4', quantity: 1_000 }];
    const row = { id: earlier.id, revision: 1, site: earlier.siteId, body: JSON.stringify({ ...earlier, kit }) };
    await database('work_orders').insert(row);
    await database.migrate.latest({ migrationSource: migrations });
    const { body } = (await database('work_orders').first('body')) as { body: string };
    expect(JSON.parse(body)).toMatchObject({
      tools: [],
      isolation: [],
      formerly: null,
      kit: [{ ...kit[0], unit: null }],
    });
  });

  it('is never taken back', async () => {
    await database.migrate.latest({ migrationSource: migrations });
    await expect(database.migrate.down({ migrationSource: migrations })).rejects.toThrow('Migrations only go forward');
  });
});

describe('a database that came all the way from the first version', () => {
  /** Tables with their columns and the columns of their indexes. */
  async function shapeOf(of: Knex): Promise<Record<string, unknown>> {
    const tables: string[] = await of('sqlite_master').where('type', 'table').orderBy('name').pluck('name');
    const shape: Record<string, unknown> = {};
    for (const table of tables) {
      const columns = Object.keys(await of(table).columnInfo()).sort();
      const indexes: { name: string }[] = await of.raw(`PRAGMA index_list(\`${table}\`)`);
      const indexed = [];
      for (const { name } of indexes) {
        const ofIndex: { name: string }[] = await of.raw(`PRAGMA index_info(\`${name}\`)`);
        indexed.push(ofIndex.map((each) => each.name).join());
      }
      shape[table] = { columns, indexed: indexed.sort() };
    }
    return shape;
  }

  /** Rows as they are now, by table and id, with the columns by which they are found. */
  async function rowsOf(of: Knex): Promise<Record<string, unknown>> {
    const rows: Record<string, unknown> = {};
    for (const table of ['past_jobs', 'work_audiences', ...Object.keys(asOfTheFirstVersion), 'rates']) {
      const stored: Record<string, unknown>[] = await of(table);
      for (const { revision: _revision, body, ...columns } of stored) {
        const key = `${table}/${String(columns['id'] ?? Object.values(columns).join('@'))}`;
        rows[key] = { ...columns, ...(typeof body === 'string' ? { body: JSON.parse(body) as unknown } : {}) };
      }
    }
    return rows;
  }

  /** What phones are told to fetch. */
  const feedOf = (of: Knex): Promise<object[]> =>
    of('feed').where('is_gone', 0).orderBy(['audience', 'table_name', 'id']).select('audience', 'table_name', 'id');

  it('has the shape of a fresh one, and gives what a fresh one gives', async () => {
    await migrateTo('001-first-tables');
    for (const [table, rows] of Object.entries(asOfTheFirstVersion)) await database(table).insert(rows);
    await database.migrate.latest({ migrationSource: migrations });
    await bringShapesUpToDate(database);
    const now = instantFromMillis(testClock()());
    await fillFeed(database, now);
    await bringPastUpToDate(database);
    await bringTextsUpToDate(database);
    const fresh = await openDatabase(':memory:', testClock());
    await fresh.transaction((transaction) => new SqlRecords(transaction, now).write(asOfNow));
    await bringPastUpToDate(fresh);
    expect(await shapeOf(database)).toEqual(await shapeOf(fresh));
    expect(await rowsOf(database)).toEqual(await rowsOf(fresh));
    expect(await feedOf(database)).toEqual(await feedOf(fresh));
    await fresh.destroy();
  });
});
