import { asId, type BinId, type PersonId, type StoreId } from '@oilcan/core/kernel';
import type { Movement } from '@oilcan/core/stores/stock';
import {
  aBin,
  aLevel,
  aPart,
  aPerson,
  aRequest,
  aStore,
  aTransfer,
  binId,
  minutesLater,
  noon,
  partId,
  put,
  smallWorks,
  storeId,
} from '@oilcan/core/testing';
import { press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { PartScreen } from './part-screen';
import { stockOverTime } from './stock-over-time';

// The library of charts draws nothing where there is no layout.
jest.mock('./stock-picture', () => ({ StockPicture: () => null }));

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const mid = asId<StoreId>('mid');
const midBin = asId<BinId>('mid-bin');
const kit = [{ partId, binId, quantity: 2_000, unit: null }];
const shop = [
  ...smallWorks({ kit }),
  put('people', arun),
  put('stores', aStore()),
  put('stores', aStore({ id: mid, name: 'Mid store', isAttended: false })),
  put('bins', aBin({ id: midBin, storeId: mid, label: 'M-1' })),
  put('stock', aLevel(3_000, { id: `${partId}@${midBin}`, binId: midBin })),
  put('requests', aRequest({ workOrderId: null, quantity: 1_000 })),
];
const movement = (id: string, change: number, minutes: number, reason: Movement['reason'] = 'use'): Movement => ({
  id,
  partId,
  binId,
  change,
  reason,
  at: minutesLater(minutes),
  workOrderId: null,
  entryId: null,
});

let works: TestWorks;
afterEach(async () => works?.close());

describe('the page of a part', () => {
  it('says first how it stands, then where it lies, who wants it and which jobs need it', async () => {
    works = await TestWorks.open(shop, arun);
    await works.show(<PartScreen partId={partId} />);
    expect(words()).toContain(
      '11 pcs on hand in 2 bins. 1 open job needs 2 pcs, and 1 pcs are asked for beside: 8 pcs remain.',
    );
    expect(words()).toMatch(/Base store, bin C-04.*8 pcs.*Mid store, bin M-1.*3 pcs/);
    expect(words()).toContain('Open jobs that need it');
    expect(words()).toContain('What moved before is with the server. It is shown when there is signal.');
  });

  it('shows what moved, as the server has it', async () => {
    works = await TestWorks.open(shop, arun);
    const movements = [movement('b', -2_000, 60), movement('a', 10_000, 0, 'receipt')];
    works.answers.set(`GET /api/parts/${partId}/movements`, { movements, hasMore: false });
    await works.show(<PartScreen partId={partId} />);
    expect(words()).toMatch(/What moved2.*Used.*−2 pcs.*Came in.*\+10 pcs/);
  });

  it('does not take what is no answer for one', async () => {
    works = await TestWorks.open(shop, arun);
    works.answers.set(`GET /api/parts/${partId}/movements`, { movements: ['<html>'], hasMore: false });
    await works.show(<PartScreen partId={partId} />);
    expect(words()).toContain('It is shown when there is signal.');
  });

  it('leads to its successor, and says of a bin below zero that nothing is sure', async () => {
    const newer = aPart({ id: 'newer' as never, number: 'SEAL-71', name: 'Better seal' });
    const old = aPart({ isObsolete: true, successorId: newer.id });
    works = await TestWorks.open([...shop, put('parts', old), put('parts', newer), put('stock', aLevel(-1_000))], arun);
    await works.show(<PartScreen partId={partId} />);
    expect(words()).toContain('A bin stands below zero by the books: count it before you rely on this.');
    expect(words()).toContain('Better sealSEAL-71 takes its place');
    await works.show(<PartScreen partId="none" />);
    expect(words()).toContain('This phone knows no such part.');
  });

  it('takes in what came from another store, or writes it off', async () => {
    const unitPrice = { minor: 3_820, currency: 'EUR' };
    const sent = { binId: midBin, quantity: 2_000, along: 'cabin 12', by: arun.id, at: noon, unitPrice };
    const transfer = aTransfer({ fromStoreId: mid, toStoreId: storeId, quantity: 2_000, sent });
    works = await TestWorks.open([...shop, put('transfers', transfer)], arun);
    await works.show(<PartScreen partId={partId} />);
    expect(words()).toContain('2 pcs are on the way.');
    expect(words()).toContain('on the way from Mid store to Base store');
    await press('It is here: Seal');
    await type('Came, in pcs', '1');
    await press('Put it into the bin');
    await press('It does not come: Seal');
    await press('Lost on the way', 'radio');
    await press('Write off 1 pcs');
    const records = await works.sent();
    expect(records.peek('stock', `${partId}@${binId}`)?.onHand).toBe(9_000);
    expect(records.peek('transfers', 'transfer')?.losses).toMatchObject([
      { quantity: 1_000, reason: 'Lost on the way' },
    ]);
    expect(words()).not.toContain('are on the way.');
  });
});

it('the stock over time goes back from what lies there now', () => {
  const movements = [movement('b', -2_000, 60), movement('a', 10_000, 0, 'receipt')];
  expect(stockOverTime(movements, 8_000).map(({ value }) => value)).toEqual([10, 8]);
});
