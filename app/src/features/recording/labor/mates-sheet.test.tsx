import { ann, bob, minutesLater, put, smallWorks, site, workId } from '@oilcan/core/testing';
import { currentOf } from '@oilcan/core/orders/work';
import { press, words } from '../../../testing/hands';
import { OnWork, passTime, TestWorks } from '../../../testing/works';
import { ClockLine } from './clock-line';
import { TimeSheet } from './time-sheet';

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open([
    ...smallWorks({ state: 'underway', personIds: [ann.id, bob.id] }),
    put('clocks', { id: ann.id, siteId: site, workOrderId: workId, startedAt: minutesLater(0) }),
  ]);
});
afterEach(() => works.close());

const minutesOf = async (personId: string): Promise<number[]> =>
  currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'labor')
    .filter(({ content }) => content.personId === personId)
    .map(({ content }) => content.minutes);

it('starts and stops the clock of a mate, and pauses the own', async () => {
  await works.show(<OnWork>{(work) => <ClockLine work={work} />}</OnWork>);
  await press('Break: pause my clock');
  expect(await minutesOf(ann.id)).toEqual([60]);
  await press('Others’ clocks');
  await press('Start the clock of Bob');
  expect(words()).toContain('started by you');
  // Pressed by mistake, it leaves nothing.
  await press('Stop the clock of Bob');
  expect(await minutesOf(bob.id)).toEqual([]);
  await press('Start the clock of Bob');
  passTime(60_000);
  await press('Stop the clock of Bob');
  expect(await minutesOf(bob.id)).toEqual([1]);
});

it('types the time of both at once, and points out what is recorded already', async () => {
  await works.show(<OnWork>{(work) => <TimeSheet work={work} onClose={() => undefined} />}</OnWork>);
  await press('Bob', 'checkbox');
  await press('15 min more');
  await press('15 min more');
  // Ann's clock has run for an hour.
  expect(words()).toContain('You have 12:30 to 13:00 on W-1 already.');
  await press('Me', 'checkbox');
  await press('Keep 30 min');
  expect([await minutesOf(ann.id), await minutesOf(bob.id)]).toEqual([[], [30]]);
});
