import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import { isProvisional, NUMBERS_AHEAD } from '@oilcan/core/plant/numbers';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import { ann, aRaise, aReporting, lea } from '@oilcan/core/testing';
import { MemoryDatabase } from '../database/memory-database';
import type { Phone } from './phone';
import { TestPhones } from '../testing/phones';
import type { TestServer } from '../testing/test-server';

let phones: TestPhones;
let server: TestServer;
beforeEach(async () => {
  phones = await TestPhones.open();
  server = phones.server;
});
afterEach(() => server.close());

describe('numbers on a phone', () => {
  const raised = (title: string): ArgsOf<'work.raise'> => aRaise({ title, personIds: [ann.id] });
  const numbersOn = (phone: Phone): string[] =>
    phone.view
      .peekAll('workOrders')
      .filter(({ title }) => title.startsWith('Found'))
      .map(({ number }) => number);

  it('are final from the first moment, without signal too, and never another’s', async () => {
    const [anns, leas] = [await phones.of(ann), await phones.of(lea)];
    for (const phone of [anns, leas]) await phone.synchronize();
    server.signal = 'none';
    for (const phone of [anns, leas])
      for (const title of ['Found one', 'Found two']) await phone.perform('work.raise', raised(title));
    const shown = [...numbersOn(anns), ...numbersOn(leas)];
    expect([new Set(shown).size, shown.every((number) => /^W-\d+$/.test(number))]).toEqual([4, true]);
    server.signal = 'good';
    for (const phone of [anns, leas]) await phone.synchronize();
    expect([anns.kept, leas.kept]).toEqual([[], []]);
    const there = server.records.peekAll('workOrders').map(({ number }) => number);
    expect(there).toEqual(expect.arrayContaining(shown));
  });

  it('that are used up without signal give way to marked ones, until the server gives them', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    server.signal = 'none';
    for (let count = 0; count <= NUMBERS_AHEAD; count += 1) await phone.perform('work.raise', raised(`Found ${count}`));
    expect(numbersOn(phone).filter(isProvisional)).toHaveLength(1);
    server.signal = 'good';
    await phone.synchronize();
    await phone.synchronize();
    expect([phone.kept, numbersOn(phone).filter(isProvisional)]).toEqual([[], []]);
    expect(new Set(numbersOn(phone)).size).toBe(NUMBERS_AHEAD + 1);
  });

  it('of every series are not taken again once what took them was sent', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    for (const words of ['First', 'Second', 'Third']) {
      server.signal = 'good';
      expect(await phone.perform('report.make', aReporting({ words }))).toEqual({ ok: true });
      expect(await phone.perform('work.raise', raised(`Found ${words}`))).toEqual({ ok: true });
      await phone.synchronize();
      server.signal = 'none';
    }
    const numbers = phone.view.peekAll('reports').map(({ number }) => number);
    expect([new Set(numbers).size, numbers.some(isProvisional)]).toEqual([3, false]);
  });

  it('belong to the name under which the server lent them, and go with it', async () => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    server.signal = 'none';
    await phone.perform('work.raise', raised('Found one'));
    const { syncState, writeVersion } = await database.load();
    expect([syncState.device, syncState.numbers.workOrder?.length]).toEqual([ann.id, NUMBERS_AHEAD]);
    // What is kept lost the name alone, as an earlier Oilcan had it elsewhere.
    await database.write({ syncState: { ...syncState, device: null } }, writeVersion);
    phones.newDevice = 'another name';
    const again = await phones.of(ann, database);
    await again.perform('work.raise', raised('Found two'));
    await again.perform('report.make', aReporting({ words: 'Oil under the gearbox' }));
    expect(numbersOn(again).filter(isProvisional)).toHaveLength(1);
    server.signal = 'good';
    await again.synchronize();
    await again.synchronize();
    expect([again.kept, numbersOn(again).filter(isProvisional)]).toEqual([[], []]);
    expect((await database.load()).syncState).toMatchObject({ device: 'another name' });
  });

  it('that another phone was lent are replaced by the server, with all that hangs on what took them, and asked for anew', async () => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    const { syncState, writeVersion } = await database.load();
    await database.write({ syncState: { ...syncState, device: 'impostor' } }, writeVersion);
    const impostor = await phones.of(ann, database);
    server.signal = 'none';
    for (const title of ['Found one', 'Found two']) {
      const made = await impostor.performMaking('work.raise', raised(title));
      if (!made.ok) throw new Error(made.code);
      const workOrderId = asId<WorkOrderId>(made.value);
      expect(await impostor.perform('note.add', { workOrderId, text: title })).toEqual({ ok: true });
    }
    server.signal = 'good';
    await impostor.synchronize();
    await impostor.synchronize();
    expect(impostor.kept).toEqual([]);
    const works = server.records.peekAll('workOrders').filter(({ title }) => title.startsWith('Found'));
    expect(works.map(({ number }) => number)).toEqual(numbersOn(impostor));
    const lent = (await database.load()).syncState.numbers.workOrder ?? [];
    expect(lent).toHaveLength(NUMBERS_AHEAD);
    expect(lent.filter((number) => syncState.numbers.workOrder?.includes(number))).toEqual([]);
    const notes = server.records.peekAll('entries').filter(({ content }) => content.kind === 'note');
    expect(notes).toHaveLength(2);
  });

  it('are kept through a reload, and none is taken twice', async () => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    server.signal = 'none';
    await phone.perform('work.raise', raised('Found one'));
    const again = await phones.of(ann, database);
    await again.perform('work.raise', raised('Found two'));
    expect(new Set(numbersOn(again)).size).toBe(2);
  });
});
