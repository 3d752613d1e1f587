import { lea, smallWorks } from '@oilcan/core/testing';
import { press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { LimitsSheet } from './limits-sheet';

let works: TestWorks;
const onClose = jest.fn();
afterEach(() => works.close());

it('sets from when on finished work is unusual, and says at its field what cannot be', async () => {
  works = await TestWorks.open(smallWorks(), lea);
  await works.show(<LimitsSheet onClose={onClose} />);
  await type('Worked for so many times the estimate', 'much');
  await press('Keep');
  expect(words()).toContain('Write a number, such as 2 or 1.5.');
  await type('Worked for so many times the estimate', '0.5');
  await press('Keep');
  expect(words()).toContain('Give at least 1.');
  await type('Worked for so many times the estimate', '1,5');
  await press('Keep');
  expect(onClose).toHaveBeenCalled();
  const settings = (await works.sent()).peek('settings', 'settings');
  expect(settings?.review).toMatchObject({ estimateTimes: 1.5, lateHours: 24 });
});
