import { createHash } from 'node:crypto';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { aWorkOrder, ann, workId } from '@oilcan/core/testing';
import type { Knex } from 'knex';
import { findAccount } from '../accounts/accounts';
import { openDatabase } from '../database/open-database';
import { FileStore } from '../files/file-store';
import { loadRows } from './load';
import { testClock } from '../testing/test-clock';

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
