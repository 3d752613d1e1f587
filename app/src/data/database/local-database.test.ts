/** @jest-environment node */
import 'fake-indexeddb/auto';
import { asId, type FileId } from '@oilcan/core/kernel';
import { readOperation } from '@oilcan/core/operations';
import type { Change } from '@oilcan/core/records';
import { ann, anOperation, aStep, aWorkOrder, noon, put, site, workId, aSite } from '@oilcan/core/testing';
import * as allOperations from '@oilcan/core/registry/operations';
import { openDB } from 'idb';
import { IndexedDatabase } from './indexed-database';
import type { KeptOperation } from './kept-operation';
import { nowhere, WriteConflict, StorageFailed, type KeptFile, type LocalDatabase } from './local-database';
import { MemoryDatabase } from './memory-database';
import versionOne from '../testing/version-1.json';

const rules = () => Promise.resolve(allOperations);
const silent = { onOutdated: () => undefined, onLost: () => undefined };
let count = 0;
const openIndexed = (): Promise<IndexedDatabase> => IndexedDatabase.open(`test-${(count += 1)}`, silent, rules);

const here = { ...nowhere, person: ann, revision: 3 };
const kept = (text: string, sequence: number): KeptOperation => ({
  operation: anOperation('note.add', { workOrderId: workId, text }),
  sequence,
  where: 'pending',
});
const row = (name: string): Change => put('sites', aSite({ name }));

describe.each<[string, () => Promise<LocalDatabase>]>([
  ['in IndexedDB', openIndexed],
  ['in memory', () => Promise.resolve(new MemoryDatabase())],
])('a phone’s database %s', (_, open) => {
  it('is empty at first', async () => {
    const database = await open();
    expect(await database.load()).toEqual({ writeVersion: 0, syncState: nowhere, rows: [], kept: [] });
  });

  it('gives back what was written, operations in the order in which they were made', async () => {
    const database = await open();
    const [first, second] = [kept('first', 1), kept('second', 2)];
    const writeVersion = await database.write({ keep: [second, first], changes: [row('Valley')], syncState: here }, 0);
    expect(await database.load()).toEqual({
      writeVersion,
      syncState: here,
      rows: [row('Valley')],
      kept: [first, second],
    });
  });

  it('replaces, removes and forgets', async () => {
    const database = await open();
    const [first, second] = [kept('first', 1), kept('second', 2)];
    let writeVersion = await database.write({ keep: [first, second], changes: [row('Valley')], syncState: here }, 0);
    writeVersion = await database.write(
      { forget: [first.operation.id], changes: [row('Summit')], syncState: here },
      writeVersion,
    );
    expect(await database.load()).toMatchObject({ rows: [row('Summit')], kept: [second] });
    writeVersion = await database.write(
      { changes: [{ table: 'sites', id: site, row: null }], syncState: here },
      writeVersion,
    );
    expect((await database.load()).rows).toEqual([]);
    writeVersion = await database.write({ changes: [row('Valley')], syncState: here }, writeVersion);
    await database.write({ isWhole: true, syncState: nowhere }, writeVersion);
    expect(await database.load()).toMatchObject({ syncState: nowhere, rows: [], kept: [second] });
  });

  it('lets nobody write over what they have not read', async () => {
    const database = await open();
    await database.write({ keep: [kept('first', 1)], syncState: here }, 0);
    await expect(database.write({ keep: [kept('second', 2)], syncState: nowhere }, 0)).rejects.toThrow(WriteConflict);
    expect(await database.load()).toMatchObject({ syncState: here, kept: [{ sequence: 1 }] });
  });

  it('keeps files until they are removed', async () => {
    const database = await open();
    const file: KeptFile = {
      id: asId<FileId>('b'.repeat(64)),
      mediaType: 'image/jpeg',
      bytes: 3,
      by: ann.id,
      isSent: false,
      keptAt: noon,
    };
    await database.putFile(file, Uint8Array.of(1, 2, 3));
    await database.putFile({ ...file, bytes: 9 }, Uint8Array.of(9));
    await database.noteSent(file.id, true);
    expect(await database.files()).toMatchObject([{ ...file, isSent: true }]);
    expect([...((await database.readFile(file.id)) ?? [])]).toEqual([1, 2, 3]);
    await database.removeFile(file.id);
    expect([await database.files(), await database.readFile(file.id)]).toEqual([[], undefined]);
  });
});

describe('a browser that cannot write', () => {
  it('is told apart from one that was overtaken', async () => {
    const database = await openIndexed();
    database.close();
    await expect(database.write({ syncState: here }, 0)).rejects.toThrow(StorageFailed);
  });
});

describe('a database of version 1', () => {
  async function openedOfVersionOne(): Promise<IndexedDatabase> {
    const name = `test-${(count += 1)}`;
    const old = await openDB(name, 1, {
      upgrade: (database) => {
        for (const store of ['rows', 'kept', 'bearings']) database.createObjectStore(store);
      },
    });
    for (const each of versionOne.rows) await old.put('rows', each, `${each.table}/${each.id}`);
    for (const each of versionOne.kept) await old.put('kept', each, each.operation.id);
    await old.put('bearings', versionOne.bearings, 'here');
    old.close();
    return IndexedDatabase.open(name, silent, rules);
  }

  it('keeps its person and everything that was not sent, in the form of today', async () => {
    const { syncState, kept: operations } = await (await openedOfVersionOne()).load();
    expect(syncState.person?.id).toBe('ann');
    expect(operations.map(({ where, sequence }) => [where, sequence])).toEqual([
      ['pending', 4],
      ['rejected', 5],
    ]);
    for (const { operation } of operations) expect(readOperation(operation)).toMatchObject({ ok: true });
  });

  it('fetches its rows anew', async () => {
    const { syncState, rows } = await (await openedOfVersionOne()).load();
    expect([syncState.revision, syncState.isFilling, rows]).toEqual([0, true, []]);
  });
});

describe('a database of version 2', () => {
  it('keeps its rows, and its work orders get what they did not have', async () => {
    const name = `test-${(count += 1)}`;
    const old = await openDB(name, 2, {
      upgrade: (database) => {
        for (const store of ['rows', 'kept', 'bearings', 'edition', 'files', 'contents'])
          database.createObjectStore(store);
      },
    });
    const { tools: _tools, isolation: _isolation, previousAssignees: _previous, ...work } = aWorkOrder();
    const kit = [{ partId: 'seal', binId: 'c4', quantity: 1_000 }];
    const row = { ...work, kit };
    await old.put('rows', { table: 'workOrders', id: work.id, row }, `workOrders/${work.id}`);
    old.close();
    const { rows } = await (await IndexedDatabase.open(name, silent, rules)).load();
    expect(rows.map((each) => each.row)).toEqual([
      { ...work, tools: [], isolation: [], previousAssignees: null, kit: [{ ...kit[0], unit: null }] },
    ]);
  });
});

describe('a database of version 3', () => {
  it('has the names of today in its rows and in what was not sent, and forgets what people cost', async () => {
    const name = `test-${(count += 1)}`;
    const old = await openDB(name, 3, {
      upgrade: (database) => {
        for (const store of ['rows', 'kept', 'bearings', 'edition', 'files', 'contents'])
          database.createObjectStore(store);
      },
    });
    const rowsBefore = [
      ['settings', { id: 'settings', crafts: [{ id: 'm', name: 'M', rateMinorPerHour: 5 }], overtimePercent: 150 }],
      ['people', { id: 'ann', craftId: 'm' }],
      ['workOrders', { id: 'w-1', craftId: 'm', hazards: [{ id: 'h', hazard: 'Ice', precaution: 'Crampons' }] }],
      ['entries', { id: 'e-1', content: { kind: 'labor', minutes: 60, cost: { minor: 6_000, currency: 'EUR' } } }],
      ['entries', { id: 'e-2', content: { kind: 'part', quantity: 2_000, cost: { minor: 500, currency: 'EUR' } } }],
      ['notices', { id: 'n', detail: 'Still wet' }],
      ['steps', { id: 's-1' }],
    ] as const;
    for (const [table, row] of rowsBefore) await old.put('rows', { table, id: row.id, row }, `${table}/${row.id}`);
    const args = { workOrderId: workId, hazard: 'Ice', precaution: 'Crampons' };
    const hazard = { ...kept('x', 1), operation: { ...kept('x', 1).operation, name: 'work.add-hazard', args } };
    await old.put('kept', hazard, hazard.operation.id);
    await old.put('bearings', { ...here, person: { ...ann, tradeId: undefined, craftId: 'm' } }, 'here');
    old.close();
    const loaded = await (await IndexedDatabase.open(name, silent, rules)).load();
    expect(Object.fromEntries(loaded.rows.map(({ id, row }) => [id, row]))).toMatchObject({
      settings: { trades: [{ id: 'm', name: 'M' }], laborCostSeenBy: ['lead'] },
      ann: { tradeId: 'm' },
      'w-1': { tradeId: 'm', hazards: [{ control: 'Crampons' }] },
      'e-1': { content: { minutes: 60, rate: null, cost: null } },
      'e-2': { content: { unitPrice: { minor: 250, currency: 'EUR' } } },
      n: { facts: [{ is: 'reason', reason: 'Still wet' }] },
      's-1': { id: 's-1' },
    });
    expect(JSON.stringify(loaded.rows)).not.toContain('rateMinorPerHour');
    expect(loaded.kept[0]?.operation.args).toEqual({ workOrderId: workId, hazard: 'Ice', control: 'Crampons' });
    expect(loaded.syncState.person?.tradeId).toBe('m');
  });
});

describe('a database with the shapes of version 6', () => {
  it('has findings for its verdicts, in its rows and in what was not sent', async () => {
    const name = `test-${(count += 1)}`;
    const old = await openDB(name, 106, {
      upgrade: (database) => {
        for (const store of ['rows', 'kept', 'syncState', 'writeVersion', 'files', 'contents'])
          database.createObjectStore(store);
      },
    });
    const verdict = { type: 'verdict', outcome: 'faulty' };
    const { stopId: _s, parentId: _p, condition: _c, added: _a, ...step } = aStep(1);
    const row = {
      ...step,
      question: { type: 'verdict' },
      answer: { value: verdict, at: noon, by: 'ann', entryId: 'e' },
    };
    await old.put('rows', { table: 'steps', id: step.id, row }, `steps/${step.id}`);
    const args = { workOrderId: workId, stepId: step.id, answer: verdict };
    const answer = { ...kept('x', 1), operation: { ...kept('x', 1).operation, name: 'step.answer', args } };
    await old.put('kept', answer, answer.operation.id);
    old.close();
    const loaded = await (await IndexedDatabase.open(name, silent, rules)).load();
    const finding = { type: 'finding', asFound: 'faulty', asLeft: 'faulty' };
    expect(loaded.rows.map((each) => each.row)).toEqual([
      { ...aStep(1), question: { type: 'finding' }, answer: { value: finding, at: noon, by: 'ann', entryId: 'e' } },
    ]);
    expect(loaded.kept[0]?.operation.args).toEqual({ ...args, answer: finding });
  });
});
