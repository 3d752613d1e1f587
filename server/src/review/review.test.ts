import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Review } from '@oilcan/core/finishing/review';
import { ann, anOperation, aWorkOrder, lea, put, smallWorks, workId } from '@oilcan/core/testing';
import { bringReviewsUpToDate } from './note-reviews';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { PRESENT, present } from '../testing/test-clock';

const onWork = { workOrderId: workId };
const now = present;
let works: TestServer;
beforeEach(async () => {
  works = await startTestServer(smallWorks({ state: 'underway', estimateMinutes: 10 }));
});
afterEach(() => works.close());

const made = (name: Parameters<typeof anOperation>[0], args: object, by = ann) =>
  anOperation(name, args as never, { by: by.id, at: now, knownUntil: now as never });

async function reviewsOf(person = lea): Promise<Review[]> {
  const { changes } = await works.pull(await works.signIn(person));
  return changes.flatMap((change) => (change.table === 'reviews' && change.row !== null ? [change.row] : []));
}

async function finish(): Promise<void> {
  const startedAt = new Date(PRESENT - 3 * 3_600_000).toISOString();
  const time = { ...onWork, personId: ann.id, startedAt, minutes: 120, timeType: 'regular' };
  const cookie = await works.signIn(ann);
  const pushed = await works.push(cookie, [made('labor.add', time), made('work.finish', onWork)]);
  expect(codesOf(pushed)).toEqual(['accepted', 'accepted']);
}

it('shows leads, and nobody else, why finished work is unusual and what it cost', async () => {
  await finish();
  const [review] = await reviewsOf();
  expect(review?.unusual.map(({ is }) => is)).toEqual(['overEstimate', 'notCoded']);
  expect(review?.cost).toMatchObject({ laborMinutes: 120, total: [{ minor: 12_000, currency: 'EUR' }] });
  expect(await reviewsOf(ann)).toEqual([]);
});

it('follows what is still recorded, and stays as it was looked at once the work is accepted', async () => {
  await finish();
  const cookie = await works.signIn(lea);
  await works.push(cookie, [made('work.accept', onWork, lea)]);
  const [accepted] = await reviewsOf();
  expect(accepted?.acceptedAt).not.toBeNull();
  expect(accepted?.cost.total).toEqual([{ minor: 12_000, currency: 'EUR' }]);
});

it('goes when the work is handed back', async () => {
  await finish();
  await works.push(await works.signIn(lea), [made('work.hand-back', { ...onWork, reason: 'No fault' }, lea)]);
  expect(await reviewsOf()).toEqual([]);
});

it('is made for what was finished before, once', async () => {
  const old = aWorkOrder({ id: asId<WorkOrderId>('old'), number: 'W-9', state: 'finished', finishedAt: now as never });
  const before = await startTestServer([...smallWorks(), put('workOrders', old)]);
  const ids = () => before.database('reviews').pluck('id');
  expect(await ids()).toEqual([]);
  await bringReviewsUpToDate(before.database, now as never);
  await bringReviewsUpToDate(before.database, now as never);
  expect(await ids()).toEqual(['old']);
  await before.close();
});
