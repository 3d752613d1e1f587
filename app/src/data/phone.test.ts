import {
  applyOperation,
  asId,
  MemoryRecords,
  OilcanError,
  onHandAfter,
  parseInstant,
  type Change,
  type Operation,
  type OperationId,
  type Outcome,
  type PullAnswer,
  type PushAnswer,
} from '@oilcan/core';
import {
  ann,
  aStep,
  bob,
  binId,
  lea,
  newOperationId,
  partId,
  put,
  aWorkOrder,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { MemoryDatabase } from './memory-database';
import { Phone } from './phone';
import { Unreachable, type ServerLink } from './server-link';

/** A server in memory that judges as the real one does, and can be out of reach or lose its answers. */
class SmallServer {
  readonly records = new MemoryRecords();
  signal: 'good' | 'none' | 'answers lost' = 'good';
  isSessionOver = false;
  scope = 'a';
  pushes = 0;
  #revision = 0;
  #log: { revision: number; change: Change }[] = [];
  readonly #outcomes = new Map<OperationId, Outcome>();

  constructor(rows: readonly Change[]) {
    this.write(rows);
  }

  write(changes: readonly Change[]): void {
    this.records.change(changes);
    for (const change of changes) {
      this.#revision += 1;
      this.#log = this.#log.filter((each) => each.change.table !== change.table || each.change.id !== change.id);
      this.#log.push({ revision: this.#revision, change });
    }
  }

  /** The line of one person to it. */
  linkOf(person: typeof ann): ServerLink {
    return {
      push: (operations) => this.#answer(() => this.#push(operations, person)),
      pull: (since) => this.#answer(() => Promise.resolve(this.#pull(since))),
    };
  }

  async #answer<T>(work: () => Promise<T>): Promise<T> {
    if (this.signal === 'none') throw new Unreachable();
    if (this.isSessionOver) throw new OilcanError('session_expired');
    const answer = await work();
    if (this.signal === 'answers lost') throw new Unreachable();
    return answer;
  }

  async #push(operations: readonly Operation[], person: typeof ann): Promise<PushAnswer> {
    this.pushes += 1;
    const outcomes: { id: string; outcome: Outcome }[] = [];
    for (const operation of operations) {
      const known = this.#outcomes.get(operation.id);
      const applied =
        known === undefined
          ? await applyOperation(this.records, operation, person, parseInstant(operation.at))
          : undefined;
      this.write(applied?.changes ?? []);
      const outcome = known ?? applied?.outcome ?? { ok: true };
      this.#outcomes.set(operation.id, outcome);
      outcomes.push({ id: operation.id, outcome });
    }
    return { outcomes, revision: this.#revision };
  }

  #pull(since: number): PullAnswer {
    const changes = this.#log.filter((each) => each.revision > since).map(({ change }) => change);
    return { changes, revision: this.#revision, hasMore: false, scope: this.scope };
  }
}

let minute = 0;
const present = () => parseInstant(new Date(Date.parse('2026-11-23T11:00:00Z') + minute * 60_000).toISOString());
let server: SmallServer;
beforeEach(() => {
  minute = 0;
  server = new SmallServer(smallWorks({ personIds: [ann.id, bob.id] }, [aStep(1), aStep(2)]));
});

async function phoneOf(person: typeof ann, database = new MemoryDatabase()): Promise<Phone> {
  const phone = new Phone({
    database,
    server: server.linkOf(person),
    device: person.id,
    now: present,
    deviceTime: present,
    newOperationId,
    onChange: () => undefined,
  });
  await phone.open();
  await phone.signIn(person);
  return phone;
}

const onWork = { workOrderId: workId };
const tick = (position: number) => ({ ...onWork, stepId: aStep(position).id, answer: { type: 'tick' as const } });
const use = (quantity: number) => ({ ...onWork, partId, binId, quantity });
const whereabouts = (phone: Phone): string[] => phone.kept.map(({ where }) => where);

describe('a phone with signal', () => {
  it('shows a change at once, sends it behind, and then answers for nothing', async () => {
    const phone = await phoneOf(ann);
    await phone.synchronize();
    expect(await phone.perform('step.answer', tick(1))).toEqual({ ok: true });
    expect(phone.view.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
    expect(server.records.peek('steps', aStep(1).id)?.answer).toBeNull();
    await phone.synchronize();
    expect(server.records.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
    expect([whereabouts(phone), phone.contact]).toEqual([[], 'reached']);
  });

  it('keeps nothing of what it refuses itself', async () => {
    const phone = await phoneOf(ann);
    await phone.synchronize();
    expect(await phone.perform('part.use', use(9_000))).toMatchObject({ code: 'not_enough_stock' });
    expect(phone.kept).toEqual([]);
  });

  it('does not draw a row again that came back as it was', async () => {
    const phone = await phoneOf(ann);
    await phone.synchronize();
    await phone.perform('step.answer', tick(1));
    const [mine, other] = [phone.view.peek('steps', aStep(1).id), phone.view.peek('steps', aStep(2).id)];
    await phone.synchronize();
    expect(phone.view.peek('steps', aStep(1).id)).toBe(mine);
    expect(phone.view.peek('steps', aStep(2).id)).toBe(other);
  });

  it('fetches everything anew when its scope has changed', async () => {
    const phone = await phoneOf(ann);
    await phone.synchronize();
    server.scope = 'b';
    server.write([{ table: 'steps', id: aStep(2).id, row: null }]);
    await phone.synchronize();
    expect(phone.view.peekList('steps', 'workOrder', workId).map(({ position }) => position)).toEqual([1]);
  });
});

describe('a phone without signal', () => {
  it('goes on, and sends everything once it is back, each once', async () => {
    const phone = await phoneOf(ann);
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
    const phone = await phoneOf(ann, database);
    await phone.synchronize();
    server.signal = 'none';
    await phone.perform('clock.start', onWork);
    await phone.perform('step.answer', tick(1));
    minute = 30;
    const reloaded = await phoneOf(ann, database);
    expect(reloaded.view.peek('clocks', ann.id)).toEqual(phone.view.peek('clocks', ann.id));
    expect(reloaded.view.peek('steps', aStep(1).id)).toEqual(phone.view.peek('steps', aStep(1).id));
    server.signal = 'good';
    await reloaded.synchronize();
    expect(server.records.peek('clocks', ann.id)?.startedAt).toBe('2026-11-23T11:00:00.000Z');
  });

  it('in two tabs keeps what was recorded in either', async () => {
    const database = new MemoryDatabase();
    const tabs = [await phoneOf(ann, database), await phoneOf(ann, database)];
    for (const tab of tabs) await tab.synchronize();
    server.signal = 'none';
    for (const tab of tabs) await tab.perform('note.add', { ...onWork, text: 'from a tab' });
    const reloaded = await phoneOf(ann, database);
    expect(whereabouts(reloaded)).toEqual(['pending', 'pending']);
    server.signal = 'good';
    await reloaded.synchronize();
    expect(server.records.peekAll('entries')).toHaveLength(2);
  });

  it('lays its changes over what others did meanwhile', async () => {
    const [anns, bobs] = [await phoneOf(ann), await phoneOf(bob)];
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
    const phone = await phoneOf(ann);
    await phone.synchronize();
    server.write([put('workOrders', aWorkOrder({ personIds: [bob.id] }))]);
    await phone.perform('step.answer', tick(1));
    await phone.synchronize();
    expect(phone.kept).toMatchObject([{ where: 'rejected', refusal: { code: 'work_order_not_yours' } }]);
    expect(phone.view.peek('steps', aStep(1).id)?.answer).toBeNull();
    await phone.synchronize();
    expect(server.pushes).toBe(1);
    await phone.dropRejected(phone.kept[0]?.operation.id ?? asId<OperationId>(''));
    expect(phone.kept).toEqual([]);
  });
});

describe('a session that ends', () => {
  it('lets the work go on and keeps it', async () => {
    const phone = await phoneOf(ann);
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
    const phone = await phoneOf(ann, database);
    await phone.synchronize();
    await phone.perform('step.answer', tick(1));
    await phone.signIn(lea);
    expect([phone.kept, phone.view.peekAll('workOrders'), phone.hasRows]).toEqual([[], [], false]);
  });
});
