import { fireEvent, screen, within } from '@testing-library/react';
import { bob, lea, noon, smallWorks, workId } from '@oilcan/core/testing';
import { press, settled, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { DemandsSheet } from './demands-sheet';
import { HandOverLine } from './hand-over-line';
import { HoldSheet } from './hold-sheet';

let works: TestWorks;
const onClose = jest.fn();
beforeEach(() => onClose.mockReset());
afterEach(() => works.close());

it('leaves a job to the next shift, which needs a line and stands first on the sheet', async () => {
  works = await TestWorks.open(smallWorks({ state: 'underway' }));
  await works.show(<OnWork>{(work) => <HoldSheet work={work} onClose={onClose} />}</OnWork>);
  await press('The next shift goes on', 'radio');
  await press('Leave it to the next shift');
  expect(words()).toContain('Say in one line how far it is and what comes next.');
  await type('How far it is, and what comes next', 'Hub is on');
  await press('Leave it to the next shift');
  expect(onClose).toHaveBeenCalled();
  expect((await works.sent()).peek('workOrders', workId)).toMatchObject({
    state: 'held',
    handOver: { line: 'Hub is on' },
  });
  const handOver = { line: 'Hub is on', by: bob.id, at: noon, since: noon };
  await works.close();
  works = await TestWorks.open(smallWorks({ state: 'held', handOver }));
  await works.show(<OnWork>{(work) => <HandOverLine work={work} />}</OnWork>);
  expect(words()).toContain('Hub is onLeft by Bob');
});

it('sets what is owed, and says what last month’s jobs would have owed by it', async () => {
  works = await TestWorks.open(smallWorks(), lea);
  works.answers.set('GET /api/owed', { jobs: [['photo', 'part'], ['part'], []] });
  await works.show(<DemandsSheet onClose={onClose} />);
  expect(words()).toContain('Of 3 jobs in the last thirty days, none would have been held up.');
  const [owed] = within(screen.getByRole('group', { name: 'A photo' })).getAllByText('Must be given');
  if (owed !== undefined) fireEvent.click(owed);
  await settled();
  expect(words()).toContain('Of 3 jobs in the last thirty days, 1 would have been held up.');
  await press('Keep');
  const settings = (await works.sent()).peek('settings', 'settings');
  expect(settings?.demands?.corrective).toMatchObject({ photo: 'must', part: 'not', steps: 'must' });
});
