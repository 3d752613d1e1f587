import { PROTOCOL, VERSION_IN_SCOPES } from '@oilcan/core/sync';
import { ann, aStep, put, workId } from '@oilcan/core/testing';
import type { Change } from '@oilcan/core/records';
import { MemoryDatabase } from '../database/memory-database';
import type { SyncState } from '../database/local-database';
import type { Phone } from './phone';
import { TestPhones } from '../testing/phones';

let phones: TestPhones;
beforeEach(async () => {
  phones = await TestPhones.open();
  const follow = { id: 'ann@asset', personId: ann.id, assetId: 'asset' };
  await phones.server.write([put('assetFollows', follow as never)]);
});
afterEach(() => phones.server.close());

/** A phone that could not read what came after a version of the protocol: it has nothing of it, and has it that it read so far. */
async function phoneThatReadAt(version: number, database = new MemoryDatabase()): Promise<Phone> {
  const before = await phones.of(ann, database);
  await before.synchronize();
  const { writeVersion, syncState } = await database.load();
  const gone: Change[] = [{ table: 'assetFollows', id: 'ann@asset', row: null }];
  await database.write({ changes: gone, syncState: { ...syncState, version } }, writeVersion);
  phones.server.questions.length = 0;
  return phones.of(ann, database);
}

const followsOn = (phone: Phone): number => phone.view.peekAll('assetFollows').length;

describe('a phone that is brought up to date', () => {
  it('fetches by itself what it could not read before, and nothing else anew', async () => {
    const database = new MemoryDatabase();
    const phone = await phoneThatReadAt(15, database);
    const step = phone.view.peek('steps', aStep(1).id);
    expect(followsOn(phone)).toBe(0);
    await phone.synchronize();
    expect(followsOn(phone)).toBe(1);
    expect(phone.view.peek('steps', aStep(1).id)).toBe(step);
    expect(phones.server.questions.map(({ since, tablesAfter }) => [since > 0, tablesAfter])).toEqual([
      [true, null],
      [false, 15],
    ]);
    await phone.synchronize();
    expect(phones.server.questions).toHaveLength(3);
    expect((await database.load()).syncState.version).toBe(PROTOCOL.newest);
  });

  it('keeps what is unsent, and waits with it until what was sent has come back', async () => {
    const phone = await phoneThatReadAt(15);
    await phone.perform('step.answer', { workOrderId: workId, stepId: aStep(1).id, answer: { type: 'tick' } });
    phones.server.signal = 'answers lost';
    await phone.synchronize();
    expect(followsOn(phone)).toBe(0);
    phones.server.signal = 'good';
    await phone.synchronize();
    expect([followsOn(phone), phone.kept]).toEqual([1, []]);
    expect(phones.server.records.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
  });

  it('goes by the version in its scope where an earlier Oilcan kept none', async () => {
    const database = new MemoryDatabase();
    const phone = await phoneThatReadAt(VERSION_IN_SCOPES, database);
    await phone.synchronize();
    expect(phones.server.questions.map(({ tablesAfter }) => tablesAfter)).toEqual([null, VERSION_IN_SCOPES]);
    const { syncState }: { readonly syncState: SyncState } = await database.load();
    expect(syncState.version).toBe(PROTOCOL.newest);
  });
});
