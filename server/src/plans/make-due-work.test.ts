import { addDays, asId, instantFromMillis, localDate, type PlanId } from '@oilcan/core/kernel';
import type { Plan } from '@oilcan/core/finishing/plans';
import { ann, anAsset, anOperation, aPlan, aPoint, lea, pointId, put, smallWorks } from '@oilcan/core/testing';
import { readRow, SqlRecords } from '../database/sql-records';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { DueWork } from './make-due-work';
import { PRESENT } from '../testing/test-clock';

const now = PRESENT;
const DAY = 86_400_000;
const today = localDate(instantFromMillis(now), 'Europe/Vienna');
let works: TestServer;
afterEach(() => works.close());

const worksWith = async (...plans: Plan[]): Promise<DueWork> => {
  works = await startTestServer([...smallWorks(), ...plans.map((plan) => put('plans', plan))]);
  return maker();
};
const maker = (): DueWork =>
  new DueWork(works.database, (plan) => {
    throw new Error(`${plan.id} cannot be computed.`);
  });
const planned = async () => {
  const stored = await works.database('work_orders').select('id', 'body');
  return stored.map((row) => readRow('workOrders', row)).filter(({ plan }) => plan !== undefined);
};

it('makes work appear at its lead time, given to whom the plan gives it, who is told', async () => {
  const due = await worksWith(aPlan({ startsOn: addDays(today, 8), personIds: [ann.id] }));
  expect(await due.make(now)).toBeNull();
  expect(await planned()).toEqual([]);
  const made = await due.make(now + DAY);
  expect(made?.concerned.size).toBeGreaterThan(0);
  const [work] = await planned();
  expect(work).toMatchObject({ id: 'plan-1', personIds: [ann.id], plan: { occurrence: 1, dueOn: addDays(today, 8) } });
  const { changes } = await works.pull(await works.signIn(ann));
  expect(changes.some(({ table, row }) => table === 'notices' && row !== null)).toBe(true);
});

it('makes it once, though two servers, a restart and a clock set back try', async () => {
  const due = await worksWith(aPlan({ startsOn: today }));
  await Promise.all([due.make(now), maker().make(now)]);
  await maker().make(now - 40 * DAY);
  await maker().make(now + 400 * DAY);
  expect((await planned()).map(({ id }) => id)).toEqual(['plan-1']);
});

it('makes the next one once the one before is done, by when that was', async () => {
  const due = await worksWith(aPlan({ startsOn: today, triggers: [{ kind: 'completion', every: 10, unit: 'day' }] }));
  await due.make(now);
  const at = new Date(now).toISOString();
  const onWork = { workOrderId: (await planned())[0]?.id ?? '' };
  const made = (name: string, args: object, by = lea) =>
    anOperation(name as 'work.start', args as never, { by: by.id, at, knownUntil: at as never });
  const outcomes = await works.push(await works.signIn(lea), [
    made('work.give', { ...onWork, personIds: [lea.id], crewId: null }),
    made('work.drop', { ...onWork, reason: 'Ran dry' }),
  ]);
  expect(codesOf(outcomes)).toEqual(['accepted', 'accepted']);
  expect(await due.make(now)).toBeNull();
  await due.make(now + 2 * DAY);
  await due.make(now + 3 * DAY);
  expect((await planned()).map(({ plan }) => plan)).toEqual([
    { planId: 'plan', occurrence: 1, dueOn: today },
    { planId: 'plan', occurrence: 2, dueOn: addDays(today, 10) },
  ]);
});

it('takes no number twice from a phone that took the same work along', async () => {
  const due = await worksWith(aPlan({ startsOn: today }));
  const cookie = await works.signIn(ann);
  await due.make(now);
  const at = new Date(now).toISOString();
  const args = { planId: asId<PlanId>('plan'), occurrence: 1, dueOn: today, number: null };
  const along = anOperation('plan.take-along', args, { by: ann.id, at, knownUntil: at as never });
  expect(codesOf(await works.push(cookie, [along]))).toEqual(['accepted']);
  expect((await planned()).map(({ personIds }) => personIds)).toEqual([[ann.id]]);
});

it('makes nothing on a machine that is retired, and passes over a plan that cannot be computed', async () => {
  const bad = aPlan({ id: asId<PlanId>('bad'), triggers: [{ kind: 'dates', rule: 'now and then', from: today }] });
  const meter = aPlan({ id: asId<PlanId>('meter'), triggers: [{ kind: 'meter', pointId, every: 5, from: 0 }] });
  await worksWith(bad, meter, aPlan({ startsOn: today }));
  await works.database.transaction((transaction) =>
    new SqlRecords(transaction).write([
      put('assets', anAsset({ retiredOn: today })),
      put('points', aPoint({ isMeter: true, latest: [{ at: instantFromMillis(now), value: 9 }] })),
    ]),
  );
  const told: string[] = [];
  await new DueWork(works.database, ({ id }) => told.push(id)).make(now);
  expect(told).toEqual(['bad']);
  expect(await planned()).toEqual([]);
});
