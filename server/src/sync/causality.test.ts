import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import { PROTOCOL, SEEN_REVISION_SINCE, type PullAnswer } from '@oilcan/core/sync';
import { anOperation, ann, aWorkOrder, bob, lea, minutesLater, put, smallWorks } from '@oilcan/core/testing';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { pull } from './pull';
import { PushQueue } from './push-queue';

const PUSHES = 60;
const NOTES = 3;
/** So often somebody asks, one time after the other, while they are written. */
const ASKED = 12;
const jobs = Array.from({ length: PUSHES }, (_, index) => asId<WorkOrderId>(`job-${index}`));

let works: TestServer;
beforeEach(async () => {
  const given = jobs.map((id) => put('workOrders', aWorkOrder({ id, number: id, personIds: [ann.id, bob.id] })));
  works = await startTestServer([...smallWorks(), ...given]);
});
afterEach(() => works.close());

/** Of work orders, under which revision each was dropped. */
const droppedIn = ({ changes }: PullAnswer): ReadonlyMap<string, number> =>
  new Map(
    changes.flatMap((change): [string, number][] =>
      change.table === 'workOrders' && change.row?.state === 'dropped'
        ? [[change.id, change.row.lastTransition?.revision ?? Number.NaN]]
        : [],
    ),
  );

const dropping = (workOrderId: WorkOrderId) => [
  ...Array.from({ length: NOTES }, () => anOperation('note.add', { workOrderId, text: 'By the way' }, { by: lea.id })),
  anOperation('work.drop', { workOrderId, reason: 'Not needed' }, { by: lea.id }),
];

describe('what a phone knows under load', () => {
  it('is what its rows hold, however many pushes wait when it asks', async () => {
    const { database } = works;
    // A clock that somebody sets back while all of them write and ask.
    let time = Date.parse('2026-11-23T12:00:00Z');
    const look = (): number => (time -= 1_000);
    const queue = new PushQueue(database, look);
    const ask = () => pull(database, bob, { since: 0, isFilling: true }, look);
    // More than are written together, so that some wait while others ask.
    const pushing = jobs.map((id) => queue.push({ person: lea, operations: dropping(id) }));
    const pulls = await Promise.all(jobs.map(ask));
    await Promise.all(pushing);
    const dropped = droppedIn(await ask());
    expect(dropped.size).toBe(PUSHES);

    // Whoever was shown that a job is dropped has read so far, and whoever was not has not.
    const wrong = pulls.flatMap((pulled) => {
      const seen = droppedIn(pulled);
      return jobs.filter((id) => seen.has(id) !== (dropped.get(id) ?? Number.NaN) <= pulled.revision);
    });
    expect(pulls.some((pulled) => droppedIn(pulled).size < PUSHES)).toBe(true);
    expect(wrong).toEqual([]);
  });

  it.each([
    ['by revisions, while the clock is set back', true],
    ['by the clock, for phones that cannot say a revision', false],
  ])(
    'lets what was written on a job that was dropped unseen be sent, through HTTP too, %s',
    async (_, saysRevision) => {
      const [leas, bobs] = [await works.signIn(lea), await works.signIn(bob)];
      const pushing = jobs.map((id) => works.push(leas, dropping(id)));
      const pulls: PullAnswer[] = [];
      for (let asked = 0; asked < ASKED; asked += 1) {
        pulls.push(await works.pull(bobs, 0, saysRevision ? PROTOCOL.newest : SEEN_REVISION_SINCE - 1));
        if (saysRevision) works.clock.pass(-5_000);
      }
      await Promise.all(pushing);
      const notes = pulls.flatMap((pulled) => {
        const seen = droppedIn(pulled);
        const [unseen] = jobs.filter((id) => !seen.has(id));
        if (unseen === undefined) return [];
        const note = { workOrderId: unseen, text: 'I was at it' };
        const read = saysRevision ? { seenRevision: pulled.revision } : {};
        return [anOperation('note.add', note, { by: bob.id, at: minutesLater(5), knownUntil: pulled.now, ...read })];
      });
      expect(notes.length).toBeGreaterThan(0);
      expect(new Set(codesOf(await works.push(bobs, notes.slice(0, 40))))).toEqual(new Set(['accepted']));
    },
  );
});
