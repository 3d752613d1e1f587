import type { WorkOrder } from '@oilcan/core/orders/work';
import { ann, lea, smallWorks } from '@oilcan/core/testing';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { IsolationList, LocksToTakeOff } from './isolation-list';

const isolation: WorkOrder['isolation'] = [
  { id: 'main', energy: 'electrical', device: 'Main switch', release: null, test: 'No voltage' },
  { id: 'oil', energy: 'hydraulic', device: 'Valve 3', release: 'Drain it', test: 'Gauge reads 0' },
];
const rows = smallWorks({ isolation, personIds: [ann.id, lea.id], state: 'underway' });

let works: TestWorks;
const open = async (person = ann): Promise<void> => {
  works = await TestWorks.open(rows, person);
  await show();
};
const show = () =>
  works.show(
    <OnWork>
      {(work) => (
        <>
          <IsolationList work={work} />
          <LocksToTakeOff work={work} />
        </>
      )}
    </OnWork>,
  );
afterEach(() => works.close());

describe('isolation', () => {
  it('goes point by point, each in its turn, until nothing is live', async () => {
    await open();
    expect(words()).toContain('Isolation: not shut down');
    expect(canPress('My lock is on: Main switch')).toBe(false);
    await press('The machine is shut down');
    await press('My lock is on: Main switch');
    expect(words()).toContain('First lock every point.');
    await press('My lock is on: Valve 3');
    expect(words()).toContain('First release the stored energy everywhere.');
    await press('Energy released: Valve 3');
    await press('Tested: dead: Main switch');
    await press('Tested: dead: Valve 3');
    expect(words()).toContain('Isolation: locked and tested');
    expect(words()).toContain('Locked: Ann, ');
  });

  it('ends with every lock taken off by whom it belongs to', async () => {
    await open();
    await press('The machine is shut down');
    await press('My lock is on: Main switch');
    expect(words()).toContain('Locks to take off');
    await press('Lock off: Main switch');
    expect(words()).not.toContain('Locks to take off');
  });

  it('lets a lead take off the lock of somebody else, with a reason only', async () => {
    await open();
    await press('The machine is shut down');
    await press('My lock is on: Main switch');
    const before = (await works.sent()).peekAll('entries');
    await works.close();

    works = await TestWorks.open(
      [...rows, ...before.map((row) => ({ table: 'entries', id: row.id, row }) as const)],
      lea,
    );
    await show();
    await press('Lock off: Main switch');
    await press('The lock is off');
    expect(words()).toContain('Lock of Ann');
    await type('Why', 'She went home and answered the phone');
    await press('The lock is off');
    expect([works.said, words().includes('Locks to take off')]).toEqual(['Lock off.', false]);
  });
});
