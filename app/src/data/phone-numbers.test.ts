import { isProvisional, NUMBERS_AHEAD } from '@oilcan/core/numbers';
import type { ArgsOf } from '@oilcan/core/registry';
import { ann, aRaise, aReporting, lea } from '@oilcan/core/testing';
import { MemoryDatabase } from './memory-database';
import type { Phone } from './phone';
import { TestPhones } from './testing/phones';
import type { TestServer } from './testing/test-server';

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
