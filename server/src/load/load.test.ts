import { createHash } from 'node:crypto';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { asId, type PlaceId, type WorkOrderId } from '@oilcan/core/kernel';
import { aHazardRegister, anAsset, ann, aWorkOrder, noon, site, workId } from '@oilcan/core/testing';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { findAccount } from '../accounts/accounts';
import { openDatabase } from '../open-database';
import { FileStore } from '../files/file-store';
import { loadRows } from './load';
import { testClock } from '../testing/test-clock';

const aPlace = { id: asId<PlaceId>('place'), siteId: site, parentId: null, name: 'Place' };

let database: Knex;
let files: FileStore;
let folder: string;
beforeEach(async () => {
  database = await openDatabase(':memory:', testClock());
  folder = await mkdtemp(join(tmpdir(), 'oilcan-load-'));
  files = new FileStore(folder);
});
afterEach(async () => {
  await database.destroy();
  await rm(folder, { recursive: true, force: true });
});

const load = (lines: readonly unknown[]): Promise<number> =>
  loadRows(database, Readable.from(lines.map((line) => `${JSON.stringify(line)}\n`)), { files, clock: testClock() });

describe('loading JSON lines', () => {
  it('puts rows and accounts', async () => {
    const lines = [
      { table: 'workOrders', row: aWorkOrder() },
      { table: 'people', row: ann },
      { account: { person: ann.id, name: 'Ann', password: 'x' } },
    ];
    expect(await load(lines)).toBe(2);
    expect(await database('work_orders').pluck('id')).toEqual([workId]);
    expect(await findAccount(database, 'ANN')).toMatchObject({ person: ann.id });
  });

  it('gives open work the hazards of its machine, and work that was there before reads them again', async () => {
    const rows = [anAsset(), aPlace].map((row, index) => ({ table: index === 0 ? 'assets' : 'places', row }));
    const old = aWorkOrder({ id: asId<WorkOrderId>('w-old'), number: 'W-8', state: 'accepted', closedAt: noon });
    await load([...rows, ...[aWorkOrder(), old].map((row) => ({ table: 'workOrders', row }))]);
    const register = aHazardRegister({
      isolation: [{ id: 'q1', energy: 'electrical', device: 'Q1', release: null, test: 'Try' }],
    });
    const next = aWorkOrder({ id: asId<WorkOrderId>('w-next'), number: 'W-9' });
    // The register may come after the work.
    await load([
      { table: 'workOrders', row: next },
      { table: 'hazardRegister', row: register },
    ]);
    const stored = await database<{ id: string; body: string }>('work_orders').select('id', 'body');
    const works = new Map(stored.map(({ id, body }) => [id, JSON.parse(body) as WorkOrder]));
    expect(works.get(next.id)).toMatchObject({ hazards: [{ id: 'starts' }], isolation: [{ id: 'q1' }] });
    expect(works.get(next.id)?.hazards[0]?.addedAt).toBeUndefined();
    expect(works.get(workId)).toMatchObject({ hazards: [{ id: 'starts', addedAt: expect.any(String) as string }] });
    expect(works.get(old.id)?.hazards).toEqual([]);
  });

  it('puts files that are what their names say', async () => {
    const content = Buffer.from('%PDF-1.7');
    const id = createHash('sha256').update(content).digest('hex');
    await load([{ file: { id, mediaType: 'application/pdf', content: content.toString('base64') } }]);
    expect(await files.bytesOf(id as never)).toBe(content.length);
    expect(await database('files').pluck('media_type')).toEqual(['application/pdf']);
    await expect(load([{ file: { id, mediaType: 'application/pdf', content: 'AAAA' } }])).rejects.toThrow();
    await expect(load([{ file: { id: '../x', mediaType: 'application/pdf', content: '' } }])).rejects.toThrow(
      'SHA-256',
    );
  });

  it.each([[{ table: 'users', row: { id: '1' } }], [{ table: 'people', row: {} }], [{ nothing: true }]])(
    'names the line that is wrong: %j',
    async (line) => {
      await expect(load([{ table: 'people', row: ann }, line])).rejects.toThrow('Line 2');
    },
  );
});
