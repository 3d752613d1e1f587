import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { PullAnswer } from '@oilcan/core/sync';
import { anOperation, ann, aWorkOrder, bob, lea, put, smallWorks } from '@oilcan/core/testing';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { pull } from './pull';
import { PushQueue } from './push-queue';

const PUSHES = 60;
const NOTES = 3;
const jobs = Array.from({ length: PUSHES }, (_, index) => asId<WorkOrderId>(`job-${index}`));

let works: TestServer;
beforeEach(async () => {
  const given = jobs.map((id) => put('workOrders', aWorkOrder({ id, number: id, personIds: [ann.id, bob.id] })));
  works = await startTestServer([...smallWorks(), ...given]);
});
afterEach(() => works.close());

/** Of work orders, since when each is dropped. */
const droppedIn = ({ changes }: PullAnswer): ReadonlyMap<string, string> =>
  new Map(
    changes.flatMap((change): [string, string][] =>
      change.table === 'workOrders' && change.row?.state === 'dropped'
        ? [[change.id, change.row.lastTransition?.since ?? '']]
        : [],
    ),
  );

const dropping = (workOrderId: WorkOrderId) => [
  ...Array.from({ length: NOTES }, () => anOperation('note.add', { workOrderId, text: 'By the way' }, { by: lea.id })),
  anOperation('work.drop', { workOrderId, reason: 'Not needed' }, { by: lea.id }),
];

describe('what a phone knows under load', () => {
  it('is what its rows hold, however many pushes wait when it asks', async () => {
    const { database, clock } = works;
    const queue = new PushQueue(database, clock.look);
    const ask = () => pull(database, bob, 0, true, clock.look);
    // More than are written together, so that some wait while others ask.
    const pushing = jobs.map((id) => queue.push({ person: lea, operations: dropping(id) }));
    const pulls = await Promise.all(jobs.map(ask));
    await Promise.all(pushing);
    const dropped = droppedIn(await ask());
    expect(dropped.size).toBe(PUSHES);

    // Whoever was not shown that a job is dropped could not know of it.
    const unseen = pulls.flatMap((pulled) => {
      const seen = droppedIn(pulled);
      return jobs.filter((id) => !seen.has(id)).map((id) => ({ id, knownUntil: pulled.now }));
    });
    expect(unseen.length).toBeGreaterThan(0);
    expect(unseen.filter(({ id, knownUntil }) => (dropped.get(id) ?? '') < knownUntil)).toEqual([]);
  });

  it('lets what was written on a job that was dropped unseen be sent, through HTTP too', async () => {
    const [leas, bobs] = [await works.signIn(lea), await works.signIn(bob)];
    const pushing = jobs.map((id) => works.push(leas, dropping(id)));
    const pulls = await Promise.all(jobs.map(() => works.pull(bobs)));
    await Promise.all(pushing);
    const notes = pulls.flatMap((pulled) => {
      const seen = droppedIn(pulled);
      const [unseen] = jobs.filter((id) => !seen.has(id));
      if (unseen === undefined) return [];
      const note = { workOrderId: unseen, text: 'I was at it' };
      return [anOperation('note.add', note, { by: bob.id, knownUntil: pulled.now })];
    });
    expect(notes.length).toBeGreaterThan(0);
    expect(new Set(codesOf(await works.push(bobs, notes.slice(0, 40))))).toEqual(new Set(['accepted']));
  });
});
