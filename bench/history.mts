import { rmSync } from 'node:fs';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { asId, instantFromMillis, type AssetId, type PlaceId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Place } from '@oilcan/core/plant/plant';
import { PROTOCOL } from '@oilcan/core/sync';
import { endOf, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { anAsset, ann, aPastJob, aWorkOrder, lea, noon, smallWorks } from '@oilcan/core/testing';
import { buildServer, defaultConfig, openDatabase, SqlRecords } from '@oilcan/server';
import { putAccount } from '../server/src/accounts/accounts';
import { fillFeed } from '../server/src/database/feed/fill-feed';
import { Line } from './http.mjs';
import { percentile, report } from './report.mjs';

/** The same plant in both, of which a part has a past. */
const ASSETS = 20_000;
const JOBS_ON_AN_ASSET = 50;
const ASSETS_AT_A_PLACE = 10;
const OPEN = 200;
const QUESTIONS = 400;
const FILLINGS = 100;
/** Asked before they are measured. */
const WARM = 10;

/** The past of an asset, and what is new to a phone, asked of a server with few and with many past work orders. */
export async function benchHistory(): Promise<void> {
  const few = await measured(10_000);
  const many = await measured(1_000_000);
  const aim = 'aim: 3.0 or less';
  report('past of an asset, 95th percentile at 1,000,000 past jobs', many.past, 'at 10,000', few.past, 'ms', aim);
  report('past of a place with ten of them, the same', many.place, 'at 10,000', few.place, 'ms', aim);
  report('open work and all else for a new phone, the same', many.filling, 'at 10,000', few.filling, 'ms', aim);
  report('asking what is new, the same', many.idle, 'at 10,000', few.idle, 'ms', aim);
}

async function measured(jobs: number): Promise<Record<'past' | 'place' | 'filling' | 'idle', number>> {
  const folder = await mkdtemp(join(tmpdir(), 'oilcan-history-'));
  const file = join(folder, 'works.sqlite');
  const database = await openDatabase(file, Date.now);
  const assets = Math.ceil(jobs / JOBS_ON_AN_ASSET);
  await database.transaction((transaction) => new SqlRecords(transaction).write(smallWorks()));
  await putAccount(database, lea.id, lea.name, 'bench');
  fill(file, jobs);
  await fillFeed(database, instantFromMillis(Date.now()));
  const server = await buildServer(
    database,
    {
      ...defaultConfig,
      filesRoot: join(folder, 'files'),
      outboxRoot: join(folder, 'outbox'),
      webRoot: null,
      logLevel: 'silent',
      requestsPerMinute: 1e9,
    },
    Date.now,
  );
  const address = await server.listen({ port: 0, host: '127.0.0.1' });
  const signedIn = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: lea.name, password: 'bench' }),
  });
  const line = new Line(address, (signedIn.headers.get('set-cookie') ?? '').split(';')[0] ?? '', 1);
  const pull = (since: number, filling: boolean): Promise<string> =>
    line.ask('GET', `/api/sync?since=${since}&filling=${filling}&protocol=${PROTOCOL.newest}`);
  let revision = 0;
  for (let hasMore = true; hasMore;) {
    ({ revision, hasMore } = JSON.parse(await pull(revision, true)) as { revision: number; hasMore: boolean });
  }
  const someAsset = (index: number): number => (index * 7_919) % assets;
  const past = await times(QUESTIONS, (index) => line.ask('GET', `/api/past?asset=asset-${someAsset(index)}`));
  const place = await times(QUESTIONS, (index) => line.ask('GET', `/api/past?place=${placeOf(someAsset(index))}`));
  const filling = await times(FILLINGS, () => pull(0, true));
  const idle = await times(QUESTIONS, () => pull(revision - 100, false));
  line.close();
  await server.close();
  await database.destroy();
  rmSync(folder, { recursive: true });
  return { past, place, filling, idle };
}

async function times(count: number, ask: (index: number) => Promise<string>): Promise<number> {
  const taken: number[] = [];
  for (let index = 0; index < WARM; index += 1) await ask(index);
  for (let index = 0; index < count; index += 1) {
    const started = performance.now();
    await ask(index);
    taken.push(performance.now() - started);
  }
  return percentile(taken, 95);
}

const placeOf = (asset: number): PlaceId => asId<PlaceId>(`place-${Math.floor(asset / ASSETS_AT_A_PLACE)}`);

/** Past work with an entry each, and some open work, put straight into the file: nobody waits for a million pushes. */
function fill(file: string, jobs: number): void {
  const assets = Math.ceil(jobs / JOBS_ON_AN_ASSET);
  const database = new Database(file);
  database.pragma('synchronous = OFF');
  let revision = 1_000;
  const prepared = (table: string, columns: string): Database.Statement =>
    database.prepare(`INSERT INTO ${table} (${columns}) VALUES (${columns.replace(/\w+/g, '?')})`);
  const putPlace = prepared('places', 'id, revision, site, body');
  const putAsset = prepared('assets', 'id, revision, site, body');
  const putWork = prepared('work_orders', 'id, revision, site, asset, ended, body');
  const putEntry = prepared('entries', 'id, revision, site, work_order, asset, body');
  const putPast = prepared('past_jobs', 'id, site, asset, place, class, at, body');
  const site = aWorkOrder().siteId;
  database.transaction(() => {
    for (let index = 0; index < ASSETS / ASSETS_AT_A_PLACE; index += 1) {
      const place: Place = { id: placeOf(index * ASSETS_AT_A_PLACE), siteId: site, parentId: null, name: `${index}` };
      putPlace.run(place.id, (revision += 1), site, JSON.stringify(place));
    }
    for (let index = 0; index < ASSETS; index += 1) {
      const id = asId<AssetId>(`asset-${index}`);
      const asset = anAsset({ id, tag: `A-${index}`, placeId: placeOf(index) });
      putAsset.run(asset.id, (revision += 1), site, JSON.stringify(asset));
    }
    for (let index = 0; index < jobs + OPEN; index += 1) {
      const isOpen = index >= jobs;
      const at = new Date(Date.parse(noon) - (30 + (index % 1_000)) * 86_400_000).toISOString() as typeof noon;
      const id = asId<WorkOrderId>(`job-${index}`);
      const on = asId<AssetId>(`asset-${index % assets}`);
      const ended = isOpen ? null : at;
      const work: WorkOrder = aWorkOrder({
        id,
        assetId: on,
        state: 'accepted',
        createdAt: at,
        finishedAt: ended,
        closedAt: ended,
      });
      putWork.run(id, (revision += 1), site, on, endOf(work), JSON.stringify(work));
      if (isOpen) continue;
      const entry = { id: `${id}-e`, siteId: site, workOrderId: id, assetId: on, at, by: ann.id, amends: null };
      const content: Entry['content'] = { kind: 'note', text: 'Done as usual.' };
      putEntry.run(entry.id, (revision += 1), site, id, on, JSON.stringify({ ...entry, content }));
      const placeId = placeOf(index % assets);
      const job = aPastJob({ id, assetId: on, placeId, at, endedAt: at, notes: ['Done as usual.'] });
      putPast.run(id, site, on, job.placeId, 'gearbox', at, JSON.stringify(job));
    }
    database.prepare(`UPDATE counters SET value = ? WHERE name = 'revision'`).run(revision);
    // As of an Oilcan of before the feed.
    for (const table of ['feed', 'work_audiences']) database.prepare(`DELETE FROM ${table}`).run();
    database.prepare(`DELETE FROM counters WHERE name = 'feed_filled'`).run();
  })();
  // So many rows at once leave a log larger than the database, which no server at work has.
  database.pragma('wal_checkpoint(TRUNCATE)');
  database.close();
}
