import { asId, OilcanError, toMillis, type OperationId } from '@oilcan/core/kernel';
import { onHandAfter } from '@oilcan/core/stores/stock';
import { ann, aStep, bob, binId, lea, partId, put, aWorkOrder, workId } from '@oilcan/core/testing';
import { StorageFailed } from '../database/local-database';
import { MemoryDatabase } from '../database/memory-database';
import type { Phone } from './phone';
import { TestPhones } from '../testing/phones';
import type { TestServer } from '../testing/test-server';
import { Windows } from '../testing/windows';

let phones: TestPhones;
let server: TestServer;
beforeEach(async () => {
  phones = await TestPhones.open();
  server = phones.server;
});
afterEach(() => server.close());

const onWork = { workOrderId: workId };
const tick = (position: number) => ({ ...onWork, stepId: aStep(position).id, answer: { type: 'tick' as const } });
const use = (quantity: number) => ({ ...onWork, partId, binId, quantity });
const whereabouts = (phone: Phone): string[] => phone.kept.map(({ where }) => where);

describe('a phone with signal', () => {
  it('shows a change at once, sends it behind, and then answers for nothing', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    expect(await phone.perform('step.answer', tick(1))).toEqual({ ok: true });
    expect(phone.view.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
    expect(server.records.peek('steps', aStep(1).id)?.answer).toBeNull();
    await phone.synchronize();
    expect(server.records.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
    expect([whereabouts(phone), phone.contact]).toEqual([[], 'reached']);
  });

  it('says with what it records up to which revision it had read all', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    const seen = async (position: number): Promise<number> => {
      await phone.perform('step.answer', tick(position));
      return phone.kept.at(-1)?.operation.seenRevision ?? Number.NaN;
    };
    const first = await seen(1);
    await server.write([put('workOrders', aWorkOrder({ title: 'Changed' }))]);
    expect(await seen(2)).toBe(first);
    await phone.synchronize();
    expect(await seen(1)).toBeGreaterThan(first);
  });

  it('keeps nothing of what it refuses itself', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    expect(await phone.perform('part.use', use(500))).toMatchObject({ code: 'quantity_not_whole' });
    expect(phone.kept).toEqual([]);
  });

  it('does not draw a row again that came back as it was', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    await phone.perform('step.answer', tick(1));
    const [mine, other] = [phone.view.peek('steps', aStep(1).id), phone.view.peek('steps', aStep(2).id)];
    await phone.synchronize();
    expect(phone.view.peek('steps', aStep(1).id)).toBe(mine);
    expect(phone.view.peek('steps', aStep(2).id)).toBe(other);
  });

  it('fetches everything anew when its scope has changed', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    await server.becomeAnother();
    await server.write([{ table: 'steps', id: aStep(2).id, row: null }]);
    await phone.synchronize();
    expect(phone.view.peekList('steps', 'workOrder', workId).map(({ position }) => position)).toEqual([1]);
  });
});

describe('work of others', () => {
  it('is looked up when somebody opens it, and goes with its next change', async () => {
    await server.write([put('workOrders', aWorkOrder({ personIds: [bob.id] }))]);
    const phone = await phones.of(ann);
    await phone.synchronize();
    // The small server gives everything, as one does whose person carried it whole before.
    await server.write([put('workOrders', aWorkOrder({ personIds: [bob.id], title: 'Changed' }))]);
    await phone.synchronize();
    expect(phone.view.peekAll('steps')).toEqual([]);
    await phone.lookUp(workId);
    expect(phone.view.peekAll('steps')).toHaveLength(2);
    await server.write([put('workOrders', aWorkOrder({ personIds: [bob.id], title: 'Changed again' }))]);
    await phone.synchronize();
    expect(phone.view.peekAll('steps')).toEqual([]);
  });
});

describe('a phone without signal', () => {
  it('goes on, and sends everything once it is back, each once', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    server.signal = 'none';
    for (const position of [1, 2]) await phone.perform('step.answer', tick(position));
    await phone.perform('part.use', use(2_000));
    await phone.synchronize();
    expect([phone.contact, whereabouts(phone)]).toEqual(['no-signal', ['pending', 'pending', 'pending']]);
    server.signal = 'answers lost';
    await phone.synchronize();
    expect(whereabouts(phone)).toEqual(['pending', 'pending', 'pending']);
    server.signal = 'good';
    await phone.synchronize();
    expect(phone.kept).toEqual([]);
    expect(server.pushes).toBe(2);
    expect(onHandAfter(server.records.peekAll('movements'))).toBe(6_000);
  });

  it('keeps all through a reload', async () => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    server.signal = 'none';
    await phone.perform('clock.start', onWork);
    await phone.perform('step.answer', tick(1));
    phones.minute = 30;
    const reloaded = await phones.of(ann, database);
    expect(reloaded.view.peek('clocks', ann.id)).toEqual(phone.view.peek('clocks', ann.id));
    expect(reloaded.view.peek('steps', aStep(1).id)).toEqual(phone.view.peek('steps', aStep(1).id));
    server.signal = 'good';
    await reloaded.synchronize();
    expect(server.records.peek('clocks', ann.id)?.startedAt).toMatch(/^2026-11-23T11:00:00/);
  });

  it('lays its changes over what others did meanwhile', async () => {
    const [anns, bobs] = [await phones.of(ann), await phones.of(bob)];
    await anns.synchronize();
    await bobs.synchronize();
    server.signal = 'none';
    await anns.perform('note.add', { ...onWork, text: 'from Ann' });
    server.signal = 'good';
    await bobs.perform('note.add', { ...onWork, text: 'from Bob' });
    await bobs.synchronize();
    await anns.synchronize();
    await bobs.synchronize();
    const texts = (phone: Phone) =>
      phone.view
        .peekList('entries', 'workOrder', workId)
        .map(({ content }) => (content.kind === 'note' ? content.text : ''))
        .sort();
    expect(texts(anns)).toEqual(['from Ann', 'from Bob']);
    expect(texts(bobs)).toEqual(texts(anns));
  });
});

describe('what the server refuses', () => {
  it('stays with its reason until the person drops it, and is not shown as done', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    await server.write([put('workOrders', aWorkOrder({ personIds: [bob.id] }))]);
    await phone.perform('step.answer', tick(1));
    await phone.synchronize();
    expect(phone.kept).toMatchObject([{ where: 'rejected', refusal: { code: 'work_order_not_yours' } }]);
    expect(phone.view.peek('steps', aStep(1).id)?.answer ?? null).toBeNull();
    await phone.synchronize();
    expect(server.pushes).toBe(1);
    await phone.dropRejected(idOf(phone));
    expect(phone.kept).toEqual([]);
  });

  it('can be mended and sent again, and keeps the time at which it was made', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    await server.write([put('workOrders', aWorkOrder({ personIds: [bob.id] }))]);
    await phone.perform('note.add', { ...onWork, text: 'seen at noon' });
    await phone.synchronize();
    expect(await phone.mend(idOf(phone), { ...onWork, text: '' })).toMatchObject({ ok: false, field: 'text' });
    expect(whereabouts(phone)).toEqual(['rejected']);
    await server.write([put('workOrders', aWorkOrder({ personIds: [ann.id] }))]);
    await phone.synchronize();
    phones.minute = 50;
    expect(await phone.mend(idOf(phone), { ...onWork, text: 'seen before one' })).toEqual({ ok: true });
    expect(whereabouts(phone)).toEqual(['pending']);
    await phone.synchronize();
    const [entry] = server.records.peekAll('entries');
    expect(entry).toMatchObject({ content: { text: 'seen before one' } });
    expect(entry?.at).toMatch(/^2026-11-23T11:00:00/);
  });
});

const idOf = (phone: Phone): OperationId => phone.kept[0]?.operation.id ?? asId<OperationId>('');

describe('a server in trouble', () => {
  it('keeps the phone’s records waiting', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    server.failure = () => new OilcanError('no_space');
    await phone.perform('step.answer', tick(1));
    for (let times = 0; times < 10; times += 1) await phone.synchronize();
    expect([phone.contact, whereabouts(phone)]).toEqual(['server-trouble', ['pending']]);
  });

  it('that fails at one operation gets the others, and the one is put aside', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    for (const text of ['one', 'two', 'poison', 'four', 'five']) await phone.perform('note.add', { ...onWork, text });
    server.failure = (operations) =>
      operations.some(({ args }) => (args as { text: string }).text === 'poison')
        ? new OilcanError('unexpected')
        : null;
    for (let times = 0; times < 8; times += 1) await phone.synchronize();
    expect(phone.kept).toMatchObject([{ where: 'rejected', refusal: { code: 'unexpected' } }]);
    expect(server.records.peekAll('entries')).toHaveLength(4);
  });

  it.each([
    ['protocol_older', 'older'],
    ['protocol_newer', 'newer'],
  ] as const)('that says %s leaves everything on the phone', async (code, contact) => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    server.failure = () => new OilcanError(code);
    await phone.perform('step.answer', tick(1));
    await phone.synchronize();
    expect([phone.contact, whereabouts(phone)]).toEqual([contact, ['pending']]);
  });
});

describe('a phone whose clock is wrong', () => {
  it('learns it from the server, and records by the right time', async () => {
    phones.minutesAhead = 125;
    const phone = await phones.of(ann);
    await phone.synchronize();
    expect(phone.clock.memory.ahead).toBe(125 * 60_000);
    phones.minute = 10;
    await phone.perform('note.add', { ...onWork, text: 'at ten past' });
    expect(phone.kept[0]?.operation).toMatchObject({ at: '2026-11-23T13:15:00.000Z', ahead: 125 * 60_000 });
    await phone.synchronize();
    expect(server.records.peekAll('entries')[0]?.at).toBe('2026-11-23T11:10:00.000Z');
  });

  it('that is set forward without signal ends at the present, in its order', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    server.signal = 'none';
    await phone.perform('note.add', { ...onWork, text: 'first' });
    phones.minutesAhead = 3_000;
    await phone.perform('note.add', { ...onWork, text: 'second' });
    await phone.perform('note.add', { ...onWork, text: 'third' });
    phones.minute = 20;
    server.signal = 'good';
    await phone.synchronize();
    await phone.perform('note.add', { ...onWork, text: 'fourth' });
    await phone.synchronize();
    const entries = [...server.records.peekAll('entries')].sort((a, b) => (a.at + a.id < b.at + b.id ? -1 : 1));
    expect(entries.map(({ content }) => (content.kind === 'note' ? content.text : ''))).toEqual([
      'first',
      'second',
      'third',
      'fourth',
    ]);
    expect(entries.every(({ at }) => at <= server.now())).toBe(true);
    expect(toMillis(phone.clock.now()) - toMillis(server.now())).toBeLessThan(1_000);
  });
});

describe('two windows of one browser', () => {
  it.each([
    ['that hear one another', false],
    ['that do not hear one another', true],
  ])('%s share one queue, and send each record once', async (_, isDeaf) => {
    const database = new MemoryDatabase();
    const windows = new Windows();
    windows.isDeaf = isDeaf;
    const [one, two] = [await phones.of(ann, database, windows.open()), await phones.of(ann, database, windows.open())];
    await Promise.all([one.synchronize(), two.synchronize()]);
    server.signal = 'none';
    await one.perform('step.answer', tick(1));
    await two.perform('note.add', { ...onWork, text: 'from the other window' });
    await one.perform('part.use', use(1_000));
    expect(one.kept.map(({ operation }) => operation.name)).toEqual(['step.answer', 'note.add', 'part.use']);
    server.signal = 'good';
    await Promise.all([one.synchronize(), two.synchronize()]);
    await two.synchronize();
    expect([server.records.peekAll('entries').length, one.kept, two.kept]).toEqual([
      // The first tick also says that the work is underway.
      4,
      [],
      [],
    ]);
    expect(two.view.peekList('entries', 'workOrder', workId)).toEqual(
      one.view.peekList('entries', 'workOrder', workId),
    );
  });

  it('show at once what was recorded in the other', async () => {
    const database = new MemoryDatabase();
    const windows = new Windows();
    const [one, two] = [await phones.of(ann, database, windows.open()), await phones.of(ann, database, windows.open())];
    await one.synchronize();
    await one.perform('step.answer', tick(1));
    await two.perform('step.answer', tick(2));
    await new Promise((resolve) => setTimeout(resolve));
    for (const window of [one, two]) {
      expect(window.view.peekAll('steps').map(({ answer }) => answer?.by)).toEqual([ann.id, ann.id]);
    }
    await one.signOut();
    await two.synchronize();
    expect([two.person, two.view.peekAll('steps')]).toEqual([null, []]);
  });
});

describe('a phone that cannot write', () => {
  it('says so when a record is to be sent again, and keeps it where it was', async () => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    await phone.perform('note.add', { ...onWork, text: 'poison' });
    server.failure = () => new OilcanError('body_too_large', { limitKilobytes: 1 });
    await phone.synchronize();
    expect(phone.kept).toMatchObject([{ where: 'rejected', wasApplied: false }]);
    jest.spyOn(database, 'write').mockRejectedValue(new StorageFailed(true));
    expect(await phone.mend(idOf(phone), phone.kept[0]?.operation.args)).toMatchObject({
      ok: false,
      code: 'phone_full',
    });
    expect(whereabouts(phone)).toEqual(['rejected']);
  });

  it.each([
    [true, 'phone_full'],
    [false, 'phone_storage_failed'],
  ])('says so instead of showing what it did not keep (full: %s)', async (isFull, code) => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    jest.spyOn(database, 'write').mockRejectedValue(new StorageFailed(isFull));
    expect(await phone.perform('step.answer', tick(1))).toMatchObject({ ok: false, code });
    expect([phone.kept, phone.view.peek('steps', aStep(1).id)?.answer]).toEqual([[], null]);
    await server.write([put('workOrders', aWorkOrder({ title: 'Changed' }))]);
    await phone.synchronize();
    expect(phone.contact).toBe(isFull ? 'phone-full' : 'phone-failed');
  });
});

describe('a session that ends', () => {
  it('lets the work go on and keeps it', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    server.isSessionOver = true;
    await phone.perform('step.answer', tick(1));
    await phone.synchronize();
    expect([phone.contact, whereabouts(phone)]).toEqual(['signed-out', ['pending']]);
    server.isSessionOver = false;
    await phone.signIn(ann);
    await phone.synchronize();
    expect(phone.kept).toEqual([]);
  });

  it('of one person leaves nothing to the next on the same phone', async () => {
    const database = new MemoryDatabase();
    const phone = await phones.of(ann, database);
    await phone.synchronize();
    await phone.perform('step.answer', tick(1));
    await phone.signIn(lea);
    expect([phone.kept, phone.view.peekAll('workOrders'), phone.hasRows]).toEqual([[], [], false]);
  });

  it('leaves what was not sent to its person alone, who finds it there again', async () => {
    const database = new MemoryDatabase();
    const anns = await phones.of(ann, database);
    await anns.synchronize();
    await anns.perform('step.answer', tick(1));
    await anns.signOut();
    const leas = await phones.of(lea, database);
    await leas.synchronize();
    expect([leas.kept, server.records.peek('steps', aStep(1).id)?.answer]).toEqual([[], null]);
    await leas.signOut();
    const again = await phones.of(ann, database);
    expect(whereabouts(again)).toEqual(['pending']);
    await again.synchronize();
    expect(server.records.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
  });
});
