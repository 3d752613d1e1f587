import { addMinutes, asId, toMillis, type Instant, type WorkOrderId } from '@oilcan/core/kernel';
import { noticesOfLate } from '@oilcan/core/overview/notices';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { anEntry, ann, aStep, aWorkOrder, bob, lea, noon, put, site, smallWorks, workId } from '@oilcan/core/testing';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { SqlRecords } from '../database/sql-records';
import { pull } from '../sync/pull';
import { freshDatabase } from '../testing/fresh-database';
import { beginsNow, keepSmall } from './nightly';

let database: Knex;
beforeEach(async () => {
  database = await freshDatabase();
  await write([...smallWorks(), put('steps', aStep(1)), put('steps', aStep(2))]);
});
afterEach(() => database.destroy());

const days = (count: number): Instant => addMinutes(noon, count * 24 * 60);
const write = (changes: readonly Change[]): Promise<void> =>
  database.transaction((transaction) => new SqlRecords(transaction).write(changes));
const night = (day: number): Promise<Readonly<Record<string, number>>> =>
  keepSmall(database, toMillis(days(day)), () => Promise.resolve());
const ask = (person: Person, since: number, day: number) =>
  pull(database, person, { since, isFilling: since === 0 }, () => toMillis(days(day)));
const lineCount = async (): Promise<number> => Number((await database('feed').count({ count: '*' }))[0]?.['count']);
const idsIn = (changes: readonly Change[], table: string): string[] =>
  changes.filter((each) => each.table === table && each.row !== null).map(({ id }) => id);

const job = (over: Partial<WorkOrder>): Change => put('workOrders', aWorkOrder(over));
const ended = (day: number): Partial<WorkOrder> => ({
  state: 'accepted',
  closedAt: days(day),
  lastTransition: { to: 'accepted', at: days(day), since: days(day), by: lea.id } as never,
});

describe('the feed by night', () => {
  it('keeps one line of a row however often it changed, and gives the same', async () => {
    for (let count = 0; count < 30; count += 1) await write([job({ title: `Title ${count}` })]);
    const before = await ask(ann, 0, 0);
    const lines = await lineCount();
    await night(0);
    expect(lines - (await lineCount())).toBeGreaterThanOrEqual(30);
    expect(await ask(ann, 0, 0)).toEqual(before);
  });

  it('tells a phone that was away what ended meanwhile, and gives a new one nothing of it', async () => {
    const { revision } = await ask(ann, 0, 0);
    await write([job(ended(1))]);
    await night(8);
    expect((await ask(ann, revision, 8)).changes).toContainEqual({ table: 'workOrders', id: workId, row: null });
    const fresh = await ask(ann, 0, 8);
    expect([idsIn(fresh.changes, 'workOrders'), idsIn(fresh.changes, 'steps')]).toEqual([[], []]);
    const left = await database('feed').where('table_name', 'steps').where('id', aStep(1).id);
    expect(left).toEqual([]);
  });

  it('brings back what was recorded on work that is opened again', async () => {
    await write([job(ended(1))]);
    await night(8);
    const { revision } = await ask(ann, 0, 8);
    await write([job({})]);
    const { changes } = await ask(ann, revision, 8);
    expect(idsIn(changes, 'workOrders')).toEqual([workId]);
    expect(idsIn(changes, 'steps')).toEqual(expect.arrayContaining([aStep(1).id, aStep(2).id]));
  });

  it('lets a phone begin anew where something went so long ago that it is not told any more, and nobody else', async () => {
    const start = await ask(ann, 0, 0);
    await write([put('clocks', { id: ann.id, siteId: site, workOrderId: workId, startedAt: noon } as never)]);
    await write([{ table: 'clocks', id: ann.id, row: null }]);
    const after = await ask(ann, start.revision, 0);
    await night(0);
    await night(59);
    expect((await ask(ann, start.revision, 59)).scope).toBe(start.scope);
    await night(61);
    expect((await ask(ann, start.revision, 61)).scope).not.toBe(start.scope);
    expect((await ask(ann, after.revision, 61)).scope).toBe(start.scope);
    expect((await ask(ann, 0, 61)).scope).toBe(start.scope);
  });
});

describe('whom rows reach', () => {
  it('moves to others with the work, without a row written anew', async () => {
    const { revision } = await ask(bob, 0, 0);
    const before = await database('steps').orderBy('id').select('id', 'revision');
    await write([job({ personIds: [bob.id] })]);
    expect(await database('steps').orderBy('id').select('id', 'revision')).toEqual(before);
    expect(idsIn((await ask(bob, revision, 0)).changes, 'steps')).toEqual([aStep(1).id, aStep(2).id]);
    expect(idsIn((await ask(ann, 0, 0)).changes, 'steps')).toEqual([]);
    expect(idsIn((await ask(lea, 0, 0)).changes, 'steps')).toEqual([aStep(1).id, aStep(2).id]);
  });

  it('is told within a first fill of what goes between two of its pages', async () => {
    const clock = { id: bob.id, siteId: site, workOrderId: workId, startedAt: noon };
    await write([put('clocks', clock as never)]);
    const page = (since: number) =>
      pull(database, ann, { since, isFilling: true, pageRows: 100 }, () => toMillis(noon));
    const first = await page(0);
    expect(idsIn(first.changes, 'clocks')).toEqual([bob.id]);
    await write([{ table: 'clocks', id: bob.id, row: null }]);
    expect((await page(first.revision)).changes).toEqual([{ table: 'clocks', id: bob.id, row: null }]);
  });

  it('is given what was recorded on work that came after it, as a load may bring it', async () => {
    const id = asId<WorkOrderId>('w-late');
    await write([put('steps', { ...aStep(1), id: asId<never>('s-late'), workOrderId: id })]);
    expect(idsIn((await ask(ann, 0, 0)).changes, 'steps')).not.toContain('s-late');
    await write([job({ id, number: 'W-78' })]);
    expect(idsIn((await ask(ann, 0, 0)).changes, 'steps')).toContain('s-late');
  });

  it('is nobody where work of long ago is written for the first time', async () => {
    const lines = await lineCount();
    const id = asId<WorkOrderId>('w-old');
    const entry = anEntry({ kind: 'note', text: 'Dry' } as never, { id: asId<never>('e-old'), workOrderId: id });
    const old = [job({ id, number: 'W-77', ...ended(-30) }), put('entries', entry)];
    await database.transaction((transaction) => new SqlRecords(transaction, noon).write(old));
    expect(await lineCount()).toBe(lines);
  });
});

describe('what only grows', () => {
  it('lets go of notices and mails of long ago', async () => {
    const told = noticesOfLate([aWorkOrder({ dueAt: noon })], { crews: [], people: [ann] }, noon, addMinutes(noon, 1));
    const [notice] = told;
    if (notice === undefined) throw new Error('Nobody was told.');
    await write([put('notices', { ...notice, seenAt: noon }), put('notices', { ...notice, id: 'unseen' })]);
    const mail = { id: 'm', person: ann.id, subject: 'Late', body: 'W-1', sent_at: noon };
    await database('mails').insert([mail, { ...mail, id: 'new', sent_at: days(85) }]);
    const kept = async () => {
      const rows: { id: string }[] = await database('notices').union(database('mails').select('id')).select('id');
      return rows.map(({ id }) => id).sort();
    };
    await night(13);
    expect(await kept()).toHaveLength(4);
    await night(14);
    expect(await kept()).toEqual(['m', 'new', 'unseen']);
    await night(91);
    expect(await kept()).toEqual(['new']);
  });

  it('keeps of an operation of long ago who did what and when', async () => {
    const logged = (id: string, received: Instant) => ({
      id,
      name: 'note.add',
      by_person: ann.id,
      device: 'd',
      at: received,
      received_at: received,
      args: '{"text":"Dry"}',
      outcome: '{"ok":true}',
      changed: '[]',
      revision: 1,
    });
    await database('operations').insert([logged('old', days(-731)), logged('newer', days(-729))]);
    expect(await night(0)).toMatchObject({ log: 1 });
    expect(await database('operations').orderBy('id').select('id', 'name', 'args', 'changed')).toEqual([
      { id: 'newer', name: 'note.add', args: '{"text":"Dry"}', changed: '[]' },
      { id: 'old', name: 'note.add', args: '{}', changed: null },
    ]);
    expect(await night(0)).toMatchObject({ log: 0 });
  });

  it('forgets copies from the future after a month and lent numbers after a year', async () => {
    await database('early_operations').insert({ id: 'one', ahead: 0 });
    const lent = { series: 'workOrder', device: 'd', person: ann.id, taken_by: null };
    await database('lent_numbers').insert([
      { ...lent, number: 'W-800', lent_at: days(-367) },
      { ...lent, number: 'W-801', lent_at: days(-365) },
    ]);
    await night(0);
    expect(await database('early_operations')).toHaveLength(1);
    expect(await database('lent_numbers').pluck('number')).toEqual(['W-801']);
    await night(32);
    expect(await database('early_operations')).toEqual([]);
  });
});

describe('when it is done', () => {
  const at = (text: string): Promise<boolean> => beginsNow(database, Date.parse(text));

  it('is once a night, by the clock of the site, and by day where no night came', async () => {
    // A new database has nothing yet.
    expect(await at('2026-11-23T02:00:00+01:00')).toBe(false);
    expect(await at('2026-11-23T12:00:00+01:00')).toBe(false);
    expect(await at('2026-11-24T00:30:00+01:00')).toBe(false);
    expect(await at('2026-11-24T01:30:00+01:00')).toBe(true);
    expect(await at('2026-11-24T02:30:00+01:00')).toBe(false);
    expect(await at('2026-11-25T12:00:00+01:00')).toBe(false);
    expect(await at('2026-11-26T12:00:00+01:00')).toBe(true);
  });

  it('is done by one of several servers', async () => {
    await at('2026-11-23T02:00:00+01:00');
    const both = await Promise.all([at('2026-11-24T02:00:00+01:00'), at('2026-11-24T02:00:00+01:00')]);
    expect(both.sort()).toEqual([false, true]);
  });
});
