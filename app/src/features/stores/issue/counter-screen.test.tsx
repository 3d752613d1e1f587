import { asId, type PersonId } from '@oilcan/core/kernel';
import { aPart, aPerson, aStore, binId, partId, put, smallWorks } from '@oilcan/core/testing';
import { canPress, press, settled, type, words } from '../../../testing/hands';
import { passTime, TestWorks } from '../../../testing/works';
import { CounterScreen } from './counter-screen';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const oil = aPart({ id: 'oil' as never, number: 'OIL-220', name: 'Gear oil' });
const kit = [{ partId, binId, quantity: 2_000, unit: null }];

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(
    [...smallWorks({ state: 'underway', kit }), put('people', arun), put('stores', aStore()), put('parts', oil)],
    arun,
  );
  await works.show(<CounterScreen />);
});
afterEach(() => works.close());

describe('at the counter', () => {
  it('a job is found by who has it, and gets and gives back what it needs with one press each', async () => {
    await type('Number, what it is about, or who has it', 'somebody else');
    expect(words()).toContain('No open job fits “somebody else”.');
    await type('Number, what it is about, or who has it', 'ann');
    await press('W-1 Seal weeping');
    expect(words()).toContain('needs 2 pcs · lacks 2 pcs · bin C-04: 8 pcs');
    await press('Hand out 2 pcs Seal');
    expect(works.said).toBe('2 pcs Seal for W-1.');
    passTime(1_000);
    const records = await works.sent();
    expect(records.peek('stock', `${partId}@${binId}`)?.onHand).toBe(6_000);
    await settled();
    expect(words()).toContain('needs 2 pcs · has 2 pcs');
    expect(canPress('Hand out 2 pcs Seal')).toBe(false);
    await press('Take 2 pcs back of Seal');
    expect((await works.sent()).peek('stock', `${partId}@${binId}`)?.onHand).toBe(8_000);
  });

  it('takes what was not planned, too; what lies in no bin cannot be given', async () => {
    await press('W-1 Seal weeping');
    await type('Number or name', 'oil');
    await press(/OIL-220/);
    expect(words()).toContain('not planned · lacks 1 pcs · in no bin');
    expect(canPress(/Hand out 1 pcs Gear oil/)).toBe(false);
  });

  it('without signal says that what the job has taken is not here, and gives all the same', async () => {
    works.server.signal = 'none';
    await press('W-1 Seal weeping');
    await press('Hand out 2 pcs Seal');
    works.server.signal = 'good';
    expect((await works.sent()).peek('stock', `${partId}@${binId}`)?.onHand).toBe(6_000);
  });
});
