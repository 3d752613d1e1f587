import { currentOf } from '@oilcan/core/orders/work';
import { ann, aWorkOrder, minutesLater, put, smallWorks, workId } from '@oilcan/core/testing';
import { press, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { ForgottenClock } from './forgotten-clock';

let works: TestWorks;
afterEach(() => works.close());

describe('a clock that ran through the night', () => {
  const clock = { id: ann.id, siteId: aWorkOrder().siteId, workOrderId: workId, startedAt: minutesLater(-18 * 60) };

  it('is asked about, with the end of the shift proposed', async () => {
    works = await TestWorks.open([...smallWorks({ state: 'underway' }), put('clocks', clock)]);
    await works.show(<ForgottenClock />);
    expect(words()).toContain('Your clock has run on W-1 since yesterday 18:00.');
    await press('02:00, end of your shift');
    const records = await works.sent();
    expect(records.peek('clocks', ann.id)).toBeUndefined();
    expect(currentOf(records.peekList('entries', 'workOrder', workId), 'labor')[0]?.content.minutes).toBe(480);
  });

  it('is not asked about again on the day on which it was said to be right', async () => {
    works = await TestWorks.open([...smallWorks({ state: 'underway' }), put('clocks', clock)]);
    await works.show(<ForgottenClock />);
    await press('It runs rightly');
    expect(words()).toBe('');
  });
});
