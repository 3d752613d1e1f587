import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import { ann, aWorkOrder, lea, noon, put, smallWorks, workId } from '@oilcan/core/testing';
import { canPress, press, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { DeskGoAhead } from './desk-go-ahead';
import { GoAheadLine } from './go-ahead-line';

let works: TestWorks;
afterEach(() => works.close());

const waiting = { state: 'ready', goAhead: { since: noon, givenBy: null } } as const;
const other = aWorkOrder({ id: asId<WorkOrderId>('w-2'), number: 'W-2', title: 'A second lamp', ...waiting });

describe('raised work that waits, on the Desk', () => {
  it('is let start in one press, and is gone from there', async () => {
    works = await TestWorks.open(smallWorks(waiting), lea);
    await works.show(<DeskGoAhead />);
    expect(words()).toContain('Waits for your go-ahead');
    await press(/^Let it start/);
    expect((await works.sent()).peek('workOrders', workId)?.goAhead?.givenBy).toBe(lea.id);
    expect(words()).not.toContain('Waits for your go-ahead');
  });

  it('is let start several at once, but for those that are left out', async () => {
    works = await TestWorks.open([...smallWorks(waiting), put('workOrders', other)], lea);
    await works.show(<DeskGoAhead />);
    await press('Let W-1 start', 'checkbox');
    await press('Let 1 job start');
    const records = await works.sent();
    expect([workId, other.id].map((id) => records.peek('workOrders', id)?.goAhead?.givenBy ?? null)).toEqual([
      null,
      lea.id,
    ]);
  });

  it('is nothing where nothing waits', async () => {
    works = await TestWorks.open(smallWorks(), lea);
    await works.show(<DeskGoAhead />);
    expect(words()).toBe('');
  });
});

describe('raised work that waits, on its sheet', () => {
  it('says what it waits for, and lets a lead let it start', async () => {
    works = await TestWorks.open(smallWorks(waiting), lea);
    await works.show(<OnWork>{(work) => <GoAheadLine work={work} />}</OnWork>);
    expect(words()).toContain('Waits for a lead to let it start.');
    await press(/^Let it start/);
    expect(words()).toBe('');
  });

  it('gives a technician nothing to press', async () => {
    works = await TestWorks.open(smallWorks(waiting), ann);
    await works.show(<OnWork>{(work) => <GoAheadLine work={work} />}</OnWork>);
    expect([words().includes('Waits for a lead'), canPress(/^Let it start/)]).toEqual([true, false]);
  });
});
