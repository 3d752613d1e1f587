import { smallWorks } from '@oilcan/core/testing';
import { press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { PutOffLine } from './put-off-line';
import { WhenSheet, type Aspect } from './when-sheet';

let works: TestWorks;
const onClose = jest.fn();
afterEach(() => works.close());

async function show(first: Aspect): Promise<void> {
  onClose.mockReset();
  works = await TestWorks.open(smallWorks({ state: 'underway', urgency: 'week' }));
  await works.show(
    <OnWork>
      {(work) => (
        <>
          <PutOffLine work={work} />
          <WhenSheet work={work} first={first} onClose={onClose} />
        </>
      )}
    </OnWork>,
  );
}

const kept = async () => (await works.sent()).peekAll('workOrders')[0];

it('changes the urgency in one press, with the likeliest reason', async () => {
  await show('urgency');
  await press('Urgency: Now');
  expect(onClose).toHaveBeenCalled();
  expect(await kept()).toMatchObject({ urgency: 'now' });
  const [entry] = (await works.sent()).peekAll('entries');
  expect(entry?.content).toMatchObject({ kind: 'schedule', reason: 'As found at the machine' });
});

it('puts it off to tomorrow with a reason of its own, and takes it up again', async () => {
  await show('putOff');
  await type('Another reason', 'Wind above 80');
  await press('Put off to tomorrow');
  expect(await kept()).toMatchObject({ putOff: { until: '2026-11-24', reason: 'Wind above 80' }, timesPutOff: 1 });
  expect(words()).toContain('put it off to tomorrow: Wind above 80.');
  await press('Take it up now');
  expect(await kept()).toMatchObject({ putOff: null });
});

it('sets by what time of what day it is due, and refuses what is no time', async () => {
  await show('due');
  await type('By what time of the day', 'noon');
  await press('Due tomorrow');
  expect(words()).toContain('Write the time as 14:20.');
  await type('By what time of the day', '9.30');
  await press('Due tomorrow');
  expect(await kept()).toMatchObject({ dueAt: '2026-11-24T08:30:00.000Z' });
});

it('says why what is needed now is not put off', async () => {
  await show('urgency');
  await press('Urgency: Now');
  await press('Put off', 'radio');
  await press('Put off to tomorrow');
  expect(words()).toContain('This is needed now and is not put off.');
});
