import { asId, type BinId, type PersonId } from '@oilcan/core/kernel';
import {
  aBin,
  aCount,
  aLevel,
  ann,
  aPart,
  aPerson,
  aStore,
  binId,
  lea,
  partId,
  put,
  smallWorks,
  storeId,
} from '@oilcan/core/testing';
import { canPress, press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { CountScreen } from './count-screen';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const oil = aPart({ id: 'oil' as never, number: 'OIL-220', name: 'Gear oil', unit: 'L', isWhole: false });
const c10 = asId<BinId>('c10');
const shop = [
  ...smallWorks(),
  put('people', arun),
  put('stores', aStore()),
  put('parts', oil),
  put('bins', aBin({ id: c10, label: 'C-10' })),
  put('stock', aLevel(-500, { id: 'oil@c10', partId: oil.id, binId: c10 })),
];

let works: TestWorks;
afterEach(() => works.close());

describe('counting a store', () => {
  it('goes from bin to bin in the order of the walk, those below zero first, and is posted with its variance', async () => {
    works = await TestWorks.open(shop, arun);
    await works.show(<CountScreen />);
    expect(words()).toMatch(/Nothing is counted yet.*C-10Gear oil.*below zero.*C-04Seal/);
    await press('Count C-10, Gear oil');
    expect(words()).toContain('By the books -0.5 L.');
    await type('Counted, in L', '2');
    await press('Keep it, then C-04');
    await type('Counted, in pcs', '7');
    expect(words()).toContain('1 pcs less than by the books.');
    await press('Keep the count');
    expect(words()).toContain('2 bins are counted, 2 differ');
    expect(words()).toContain('1 pcs less than by the books · €38.20');
    await press('Post the count of Seal');
    expect(works.said).toBe('Bin C-04: the books say 7 pcs as counted.');
    const records = await works.sent();
    expect(records.peek('stock', `${partId}@${binId}`)?.onHand).toBe(7_000);
    expect(records.peek('stock', 'oil@c10')?.onHand).toBe(-500);
    expect(words()).toContain('1 bin is counted, 1 differs');
  });

  it('begins with the bin that was scanned: typed and kept, that is two presses', async () => {
    works = await TestWorks.open(shop, arun);
    await works.show(<CountScreen bin={binId} />);
    await type('Counted, in pcs', '8');
    await press('Keep the count');
    expect((await works.sent()).peekAll('counts')).toMatchObject([{ quantity: 8_000, books: 8_000, settled: null }]);
  });

  it('finds a bin by its code, and says what is wrong with one that is none', async () => {
    works = await TestWorks.open(shop, arun);
    await works.show(<CountScreen />);
    await press('Scan a bin');
    await type('Or type the code', 'A1');
    await press('Count this one');
    expect(words()).toContain('A1 is on no bin of this store that holds something.');
    await type('Or type the code', 'SEAL-70');
    await press('Count this one');
    expect(words()).toContain('Bin C-04');
  });

  it('does not show the books where a lead wants it so', async () => {
    works = await TestWorks.open(shop, lea);
    await works.show(<CountScreen />);
    expect(words()).toContain('8 pcs');
    await press('Who counts here does not see the books', 'checkbox');
    expect(words()).not.toContain('8 pcs');
    await press('Count C-04, Seal');
    expect(words()).not.toContain('By the books');
    expect((await works.sent()).peek('stores', storeId)?.isCountedBlind).toBe(true);
  });

  it('by a technician is kept, and left to others to post; a storekeeper may set it aside with a reason', async () => {
    const kept = [...shop, put('counts', aCount())];
    works = await TestWorks.open(kept, ann);
    await works.show(<CountScreen />);
    expect([words().includes('1 bin is counted, 1 differs'), canPress('Post the count of Seal')]).toEqual([
      true,
      false,
    ]);
    await works.close();
    works = await TestWorks.open(kept, arun);
    await works.show(<CountScreen />);
    await press('Set aside the count of Seal');
    await press('Wrong bin', 'radio');
    await press('Set it aside');
    expect((await works.sent()).peek('counts', 'count')?.settled).toMatchObject({
      is: 'dismissed',
      reason: 'Wrong bin',
    });
  });
});
