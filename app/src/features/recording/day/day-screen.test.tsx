import { asId, type EntryId, type WorkOrderId } from '@oilcan/core/kernel';
import { currentOf, type Entry } from '@oilcan/core/orders/work';
import { ann, anEntry, aWorkOrder, minutesLater, put, smallWorks, workId } from '@oilcan/core/testing';
import { press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { DayScreen } from './day-screen';

jest.mock('expo-router', () => jest.requireActual<object>('../../../testing/router'));

const elsewhere = asId<WorkOrderId>('w-2');
/** So many minutes of Ann's on a job, from so long after 12:00 in Vienna; it is 13:00. */
const aTime = (id: string, from: number, minutes: number, workOrderId = workId): Entry =>
  anEntry(
    {
      kind: 'labor',
      personId: ann.id,
      startedAt: minutesLater(from),
      minutes,
      timeType: 'regular',
      rate: null,
      cost: null,
    },
    { id: asId<EntryId>(id), workOrderId },
  );

const open = (...entries: readonly Entry[]) =>
  TestWorks.open([
    ...smallWorks({ state: 'underway' }),
    put('workOrders', aWorkOrder({ id: elsewhere, number: 'W-2', title: 'Grease', state: 'underway' })),
    ...entries.map((entry) => put('entries', entry)),
  ]);

let works: TestWorks;
afterEach(() => works.close());

describe('my day', () => {
  it('says hours on jobs and what is left, and fills a gap', async () => {
    works = await open(aTime('a', -240, 60), aTime('b', -150, 90, elsewhere));
    await works.show(<DayScreen />);
    expect(words()).toContain('2 h 30 of 8 h, 5 h 30 left');
    expect(words()).toContain('Nothing recorded, 30 min');
    await press('Fill the gap from 9:00');
    await press('Keep 30 min');
    expect((await works.sent()).peekAll('otherTimes')).toMatchObject([
      { personId: ann.id, startedAt: minutesLater(-180), minutes: 30, reason: 'meeting' },
    ]);
    expect(words()).toContain('30 min on none');
  });

  it('cuts what is recorded twice', async () => {
    works = await open(aTime('a', -240, 60), aTime('b', -200, 60, elsewhere));
    await works.show(<DayScreen />);
    expect(words()).toContain('8:40 to 9:00 is recorded twice.');
    await press('Cut to 9:00 to 9:40');
    const entries = (await works.sent()).peekList('entries', 'workOrder', elsewhere);
    expect(currentOf(entries, 'labor').map(({ content }) => [content.startedAt, content.minutes])).toEqual([
      [minutesLater(-180), 40],
    ]);
    expect(words()).not.toContain('recorded twice');
  });

  it('takes time on no job, changes it and takes it back', async () => {
    works = await open();
    await works.show(<DayScreen />);
    await press('Time not on a job');
    await press('Drive', 'radio');
    await type('How long', '45m');
    await press('Keep 45 min');
    expect(words()).toContain('45 min of 8 h');
    await press(/Drive/);
    await press('15 min more');
    await press('Keep the change');
    expect((await works.sent()).peekAll('otherTimes')).toMatchObject([{ reason: 'drive', minutes: 60 }]);
    await press(/Drive/);
    await press('Take it back');
    expect((await works.sent()).peekAll('otherTimes')).toEqual([]);
  });
});
