import { addMinutes, asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { ann, aWorkOrder, lea, otherSite, put, smallWorks } from '@oilcan/core/testing';
import { startTestServer } from '../testing/test-server';
import { present } from '../testing/test-clock';

const now = present;
const DAY = 24 * 60;
const finished = (id: string, daysAgo: number, given: object = {}) => {
  const at = addMinutes(now, -daysAgo * DAY);
  const work = { number: id, state: 'finished' as const, finishedAt: at, finishedBy: ann.id, ...given };
  return put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(id), ...work }));
};

it('tells a lead what the jobs of the last month did not give, of their sites alone', async () => {
  const works = await startTestServer([
    ...smallWorks(),
    finished('W-10', 3),
    finished('W-11', 40),
    finished('W-12', 2, { kind: 'improvement' }),
    finished('W-13', 1, { siteId: otherSite }),
  ]);
  const ask = async (as: Person, kind: string) => works.ask(await works.signIn(as), { url: `/api/owed?kind=${kind}` });
  const answer = await ask(lea, 'corrective');
  expect(answer.json()).toEqual({ jobs: [expect.arrayContaining(['fault', 'part', 'stoppage', 'time', 'photo'])] });
  expect((await ask(ann, 'corrective')).statusCode).toBe(403);
  expect((await ask(lea, 'none')).statusCode).toBe(400);
  await works.close();
});
