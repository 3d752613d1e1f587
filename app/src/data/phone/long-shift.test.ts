import { parseInstant, toMillis } from '@oilcan/core/kernel';
import { ann, aStep, bob, lea, workId } from '@oilcan/core/testing';
import { MemoryDatabase } from '../database/memory-database';
import { TestPhones } from '../testing/phones';
import type { TestServer } from '../testing/test-server';

let phones: TestPhones;
let server: TestServer;
beforeEach(async () => {
  phones = await TestPhones.open();
  server = phones.server;
});
afterEach(() => server.close());

const onWork = { workOrderId: workId };
const noon = toMillis(parseInstant('2026-11-23T11:00:00Z'));
const minuteOf = (time: string): number => (toMillis(parseInstant(time)) - noon) / 60_000;

describe('what a long shift may meet', () => {
  // IANA time zone database, Europe/Vienna: on 2027-03-28 the clock is set from 02:00 to 03:00, on 2027-10-31 back from 03:00 to 02:00.
  it.each([
    ['forward', '2027-03-28T01:30:00+01:00', '2027-03-28T06:30:00+02:00', 4 * 60],
    ['back', '2027-10-31T01:30:00+02:00', '2027-10-31T06:30:00+01:00', 6 * 60],
  ])(
    'a clock that runs over the night in which it is set %s counts what passed, without signal and over a restart',
    async (_, from, to, minutes) => {
      const database = new MemoryDatabase();
      phones.minute = minuteOf(from);
      const phone = await phones.of(ann, database);
      await phone.synchronize();
      server.signal = 'none';
      await phone.perform('clock.start', onWork);
      phones.minute = minuteOf(from) + 60;
      const reloaded = await phones.of(ann, database);
      phones.minute = minuteOf(to);
      expect(await reloaded.perform('clock.stop', { ...onWork, endedAt: null })).toEqual({ ok: true });
      server.signal = 'good';
      await reloaded.synchronize();
      expect(reloaded.kept).toEqual([]);
      const labor = server.records.peekAll('entries').map(({ content }) => content);
      expect(labor.filter(({ kind }) => kind === 'labor')).toMatchObject([{ minutes, personId: ann.id }]);
    },
  );

  it('a phone that is killed as it finishes has finished, once, however often it is begun anew', async () => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    server.signal = 'none';
    for (const position of [1, 2])
      await phone.perform('step.answer', { ...onWork, stepId: aStep(position).id, answer: { type: 'tick' } });
    await phone.perform('clock.start', onWork);
    phones.minute = 60;
    expect(await phone.perform('work.finish', onWork)).toEqual({ ok: true });
    // Sent, and killed before the answer.
    server.signal = 'answers lost';
    await phone.synchronize();
    for (const begun of [1, 2]) {
      const next = await phones.of(ann, database);
      expect([begun, next.view.peek('workOrders', workId)?.state]).toEqual([begun, 'finished']);
      server.signal = 'good';
      await next.synchronize();
      expect(next.kept).toEqual([]);
    }
    expect(server.records.peek('workOrders', workId)?.state).toBe('finished');
    const states = server.records.peekAll('entries').filter(({ content }) => content.kind === 'state');
    expect(states.filter(({ content }) => JSON.stringify(content).includes('finished'))).toHaveLength(1);
  });

  it('a job that is given to somebody else meanwhile loses nothing of who was at it', async () => {
    const [anns, leas] = [await phones.of(ann), await phones.of(lea)];
    await anns.synchronize();
    await leas.synchronize();
    server.signal = 'none';
    await anns.perform('clock.start', onWork);
    await anns.perform('note.add', { ...onWork, text: 'Pin was stiff' });
    phones.minute = 200;
    await anns.perform('clock.stop', { ...onWork, endedAt: null });
    server.signal = 'good';
    expect(await leas.perform('work.give', { ...onWork, personIds: [bob.id], crewId: null })).toEqual({ ok: true });
    await leas.synchronize();
    await anns.synchronize();
    expect(anns.kept).toEqual([]);
    const kinds = server.records.peekAll('entries').map(({ content }) => content.kind);
    expect(kinds).toEqual(expect.arrayContaining(['note', 'labor']));
  });
});
