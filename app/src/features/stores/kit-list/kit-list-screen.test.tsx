import { asId, type BinId, type StoreId, type WorkOrderId } from '@oilcan/core/kernel';
import type { KitList } from '@oilcan/core/stores/kit-list';
import { stockLevelId } from '@oilcan/core/stores/stock';
import { aBin, aLevel, ann, aWorkOrder, binId, bob, noon, partId, put, site, smallWorks } from '@oilcan/core/testing';
import { canPress, press, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { KitListScreen } from './kit-list-screen';

const needing = (id: string, quantity: number, tools: readonly string[] = []) =>
  aWorkOrder({
    id: asId<WorkOrderId>(id),
    number: id.toUpperCase(),
    dueAt: noon,
    kit: [{ partId, binId, quantity, unit: null }],
    tools: tools.map((name) => ({ name, count: 1 })),
  });
const otherBin = asId<BinId>('other-bin');
const rows = [
  ...smallWorks({ dueAt: noon }),
  put('stores', { id: asId<StoreId>('store'), siteId: site, name: 'Base store' }),
  put('bins', aBin({ id: otherBin, label: 'D-07' })),
  put('stock', aLevel(1_000, { id: stockLevelId(partId, otherBin), binId: otherBin })),
  put('workOrders', needing('w-2', 5_000, ['Torque wrench'])),
  put('workOrders', needing('w-3', 4_000, ['Torque wrench'])),
];
const sharedByBob: KitList = {
  id: bob.id,
  workOrderIds: [asId<WorkOrderId>('w-2')],
  sharedWith: [ann.id],
  inBag: { [`${partId}@${binId}@pcs`]: { by: bob.id, at: noon } },
};

let works: TestWorks;
const open = async (more: readonly ReturnType<typeof put>[] = []): Promise<void> => {
  works = await TestWorks.open([...rows, ...more]);
  await works.show(<KitListScreen />);
};
afterEach(() => works.close());

const list = async () => (await works.sent()).peek('kitLists', ann.id);

describe('the kit list', () => {
  it('adds up everything for today’s jobs with one press, what is short first with where else there is some', async () => {
    await open();
    expect(words()).toContain('No jobs are chosen');
    await press('All of today’s, 2 jobs');
    expect(words()).toContain('1 part and 1 tool for 2 jobs');
    expect(words()).toContain('1 is short; 0 of 2 in the bag.');
    expect(words()).toContain('Short9 pcs SealBase store, bin C-04 · 8 pcs there · W-2, W-3');
    expect(words()).toContain('Short by 1 pcs. Elsewhere: 1 in Base store, bin D-07.');
    expect(words()).toContain('ToolsTorque wrenchW-2, W-3');
  });

  it('notes what is in the bag, and what is out of it again', async () => {
    await open();
    await press('All of today’s, 2 jobs');
    await press(/Torque wrench/, 'checkbox');
    expect(words()).toContain('1 of 2 in the bag.');
    expect(Object.values((await list())?.inBag ?? {})).toMatchObject([{ by: ann.id }]);
    await press(/Torque wrench/, 'checkbox');
    expect(words()).toContain('0 of 2 in the bag.');
  });

  it('is for the jobs that are chosen, until none is', async () => {
    await open();
    await press('Choose jobs');
    await press(/^W-2 Seal weeping/, 'checkbox');
    expect(words()).toContain('1 chosen');
    await press('Done');
    expect(words()).toContain('1 part and 1 tool for 1 job');
    await press('Choose jobs');
    await press('None, and empty the bag');
    await press('Done');
    expect([words().includes('No jobs are chosen'), (await list())?.workOrderIds]).toEqual([true, []]);
  });

  it('is shared with a mate', async () => {
    await open();
    await press('All of today’s, 2 jobs');
    await press('Share');
    await press('Bob', 'checkbox');
    expect((await list())?.sharedWith).toEqual([bob.id]);
    await press(/^(Done|Close)$/);
    expect(canPress('Shared with 1')).toBe(true);
  });

  it('of a mate is ticked too, and chosen by the mate alone', async () => {
    await open([put('kitLists', sharedByBob)]);
    await press('Bob', 'radio');
    expect(words()).toContain('In the bag by Bob');
    expect(canPress('Choose jobs')).toBe(false);
    await press(/Torque wrench/, 'checkbox');
    expect(Object.keys((await works.sent()).peek('kitLists', bob.id)?.inBag ?? {})).toHaveLength(2);
  });

  it('says when chosen jobs are done', async () => {
    const mine: KitList = { ...sharedByBob, id: ann.id, sharedWith: [], workOrderIds: [asId('gone'), asId('w-2')] };
    await open([put('kitLists', mine)]);
    expect(words()).toContain('1 chosen job is done or not on this phone.');
  });
});
