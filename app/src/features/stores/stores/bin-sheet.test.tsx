import { sitePriceId, stockLevelId } from '@oilcan/core/stores/stock';
import { aLevel, aPart, aPerson, binId, partId, put, site, smallWorks } from '@oilcan/core/testing';
import { press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { BinSheet } from './bin-sheet';

const arun = aPerson({ id: 'arun' as never, name: 'Arun', roles: ['storekeeper'] });
const onClose = jest.fn();

let works: TestWorks;
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open([...smallWorks(), put('people', arun), put('stock', aLevel(-3_000))], arun);
  await works.show(<BinSheet part={aPart()} level={aLevel(-3_000)} onClose={onClose} />);
});
afterEach(() => works.close());

it('counts a bin that stands below zero, with how far the books were off', async () => {
  expect(words()).toContain('By the books -3 pcs. More was taken than was there: count it.');
  await type('Counted, in pcs', 'two');
  await press('Keep the count');
  expect(words()).toContain('Write an amount, such as 2 or 0.5.');
  await type('Counted, in pcs', '2');
  expect(words()).toContain('5 pcs more than by the books.');
  await press('Keep the count');
  expect([onClose.mock.calls.length, works.said]).toEqual([1, '2 pcs counted.']);
  expect((await works.sent()).peek('stock', stockLevelId(partId, binId))?.onHand).toBe(2_000);
});

it('takes what came in at its price', async () => {
  await press('Came in', 'radio');
  await type('Came in, in pcs', '10');
  await type('Price of one pcs, in EUR', '41.50');
  await press('Keep the receipt');
  const records = await works.sent();
  expect(records.peek('stock', stockLevelId(partId, binId))?.onHand).toBe(7_000);
  // It is what the part costs on this site; the catalogue of all sites stays as it is.
  expect(records.peek('sitePrices', sitePriceId(site, partId))?.priceMinor).toBe(4_150);
  expect(records.peek('parts', partId)?.priceMinor).toBe(3_820);
});
