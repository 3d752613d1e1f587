import fc from 'fast-check';
import { asId, type BinId, type PartId, type PersonId, type StoreId } from '../../../kernel/ids';
import type { Outcome } from '../../../operations/operation';
import type { ArgsOf } from '../../../registry/operations';
import { aBin, ann, aPerson, aSite, binId, lea, noon, otherSite, partId, put, site } from '../../../testing/builders';
import { aStore, storeId } from '../../../testing/store-builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { stockLevelId } from '../stock/stock';
import { inTransit, transferState, type Transfer } from './transfer';

const midId = asId<StoreId>('mid');
const midBin = asId<BinId>('mid-bin');
const farId = asId<StoreId>('far');
const farBin = asId<BinId>('far-bin');
const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const far = aPerson({ id: asId<PersonId>('far'), name: 'Fay', roles: ['storekeeper'], siteIds: [otherSite] });

let works: Works;
const open = (): Works => {
  const opened = new Works();
  opened.records.change([
    put('stores', aStore()),
    put('stores', aStore({ id: midId, name: 'Mid store' })),
    put('stores', aStore({ id: farId, name: 'Valley store', siteId: otherSite })),
    put('sites', aSite({ id: otherSite, name: 'Valley' })),
    put('bins', aBin({ id: midBin, storeId: midId, label: 'M-1' })),
    put('bins', aBin({ id: farBin, storeId: farId, siteId: otherSite, label: 'V-1' })),
    put('people', arun),
    put('people', far),
  ]);
  return opened;
};
beforeEach(() => {
  works = open();
});

const onHandIn = (bin: BinId): number => works.records.peek('stock', stockLevelId(partId, bin))?.onHand ?? 0;
const the = (): Transfer => {
  const [transfer] = works.records.peekAll('transfers');
  if (transfer === undefined) throw new Error('No transfer.');
  return transfer;
};
const ask = (given: Partial<ArgsOf<'transfer.ask'>> = {}, by = ann): Promise<Outcome> => {
  const args = {
    fromStoreId: storeId,
    toStoreId: midId,
    partId,
    quantity: 2_000,
    workOrderId: null,
    requestId: null,
    note: '',
  };
  return works.do('transfer.ask', { ...args, ...given }, by);
};
const send = (quantity = 2_000, by = arun): Promise<Outcome> =>
  works.do('transfer.send', { transferId: the().id, binId, quantity, along: 'Pavel' }, by);
const arrive = (quantity: number, by = arun, bin = midBin): Promise<Outcome> =>
  works.do('transfer.arrive', { transferId: the().id, binId: bin, quantity }, by, minutesLater(30));

describe('a transfer', () => {
  it('leaves a bin, is nobody’s stock on the way, and comes into another in parts', async () => {
    expect(codeOf(await ask())).toBe('accepted');
    expect([transferState(the()), onHandIn(binId)]).toEqual(['asked', 8_000]);
    expect(codeOf(await arrive(1_000))).toBe('transfer_not_sent');
    expect(codeOf(await send())).toBe('accepted');
    expect([transferState(the()), onHandIn(binId), onHandIn(midBin), inTransit(the())]).toEqual([
      'inTransit',
      6_000,
      0,
      2_000,
    ]);
    expect(await send()).toMatchObject({ code: 'transfer_sent', values: { who: 'Arun' } });
    await arrive(1_000);
    expect([transferState(the()), onHandIn(midBin), the().endedAt]).toEqual(['inTransit', 1_000, null]);
    expect(await arrive(2_000)).toMatchObject({ code: 'transfer_not_in_transit', values: { left: '1', unit: 'pcs' } });
    await arrive(1_000, ann);
    expect([transferState(the()), onHandIn(midBin)]).toEqual(['arrived', 2_000]);
    expect(await arrive(1_000)).toMatchObject({ code: 'transfer_not_in_transit', values: { left: '0', who: 'Ann' } });
    const writeOff = works.do('transfer.write-off', { transferId: the().id, quantity: 1_000, reason: 'Lost' }, arun);
    expect(codeOf(await writeOff)).toBe('transfer_not_in_transit');
  });

  it('that got lost is written off with the reason', async () => {
    await ask();
    await send();
    const writeOff = { transferId: the().id, quantity: 2_000, reason: 'Fell off the snow cat' };
    expect(codeOf(await works.do('transfer.write-off', writeOff, ann))).toBe('role_missing');
    expect(codeOf(await works.do('transfer.write-off', writeOff, arun))).toBe('accepted');
    expect([transferState(the()), onHandIn(binId) + onHandIn(midBin)]).toEqual(['lost', 6_000]);
  });

  it('is not sent to where it lies, by whom it does not concern, in halves, or from a bin of another store', async () => {
    expect(codeOf(await ask({ toStoreId: storeId }))).toBe('transfer_same_store');
    expect(codeOf(await ask({ toStoreId: asId<StoreId>('none') }))).toBe('not_found');
    expect(codeOf(await ask({ partId: asId<PartId>('none') }))).toBe('not_found');
    expect(codeOf(await ask({ quantity: 500 }))).toBe('quantity_not_whole');
    expect(codeOf(await ask({}, far))).toBe('not_found');
    await ask();
    expect(
      codeOf(
        await works.do('transfer.send', { transferId: the().id, binId: midBin, quantity: 1_000, along: '' }, arun),
      ),
    ).toBe('not_found');
    expect(codeOf(await send(2_000, far))).toBe('not_found');
  });

  it('that is not wanted any more, or cannot be sent, says so; what is on its way is', async () => {
    await ask();
    const close = (by: typeof ann): Promise<Outcome> =>
      works.do('transfer.close', { transferId: the().id, reason: 'Found one' }, by);
    await close(ann);
    expect(transferState(the())).toBe('withdrawn');
    // Sent by whoever did not know: it left its bin all the same.
    await send();
    expect(transferState(the())).toBe('inTransit');
    expect(codeOf(await close(arun))).toBe('transfer_sent');
  });

  it('from another site costs what it cost there, in the average of what is here', async () => {
    const asked = { fromStoreId: storeId, toStoreId: farId, quantity: 4_000 };
    works.records.change([
      put('sitePrices', { id: `${otherSite}@${partId}`, siteId: otherSite, partId, priceMinor: 5_000 }),
    ]);
    works.records.change([
      put('stock', {
        id: stockLevelId(partId, farBin),
        siteId: otherSite,
        partId,
        binId: farBin,
        onHand: 4_000,
        lowLevel: 0,
      }),
    ]);
    expect(codeOf(await ask(asked, far))).toBe('accepted');
    await send(4_000);
    expect(codeOf(await arrive(4_000, arun, farBin))).toBe('not_found');
    expect(codeOf(await arrive(4_000, far, farBin))).toBe('accepted');
    // 4 at 50.00 and 4 at 38.20, in the smallest unit.
    expect(works.records.peek('sitePrices', `${otherSite}@${partId}`)?.priceMinor).toBe(4_410);
    expect(onHandIn(farBin)).toBe(8_000);
  });

  it('may be sent without having been asked for', async () => {
    const unasked = { fromStoreId: storeId, toStoreId: midId, partId, quantity: 3_000, binId, along: '' };
    expect(codeOf(await works.do('transfer.send-unasked', unasked, ann))).toBe('role_missing');
    expect(codeOf(await works.do('transfer.send-unasked', unasked, lea))).toBe('accepted');
    expect([transferState(the()), onHandIn(binId)]).toEqual(['inTransit', 5_000]);
  });
});

describe('from bin to bin', () => {
  const move = (given: Partial<ArgsOf<'stock.move'>> = {}): Promise<Outcome> =>
    works.do('stock.move', { partId, fromBinId: binId, toBinId: midBin, quantity: 1_000, ...given }, ann);

  it('what is moved lies in the other at once', async () => {
    expect(codeOf(await move())).toBe('accepted');
    expect([onHandIn(binId), onHandIn(midBin)]).toEqual([7_000, 1_000]);
  });

  it('is not moved to where it lies, or to another site', async () => {
    expect(codeOf(await move({ toBinId: binId }))).toBe('move_same_bin');
    works.records.change([put('people', { ...ann, siteIds: [site, otherSite] })]);
    const both = { ...ann, siteIds: [site, otherSite] };
    const args = { partId, fromBinId: binId, toBinId: farBin, quantity: 1_000 };
    expect(codeOf(await works.do('stock.move', args, both))).toBe('move_other_site');
  });
});

it('no piece is lost or doubled, whoever sends, takes in, writes off and moves, however often', async () => {
  const step = fc.record({
    is: fc.constantFrom('ask', 'send', 'arrive', 'lose', 'move', 'close'),
    pieces: fc.integer({ min: 1, max: 4 }),
    which: fc.nat(4),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 20 }), async (steps) => {
      works = open();
      for (const { is, pieces, which } of steps) {
        const quantity = pieces * 1_000;
        const all = works.records.peekAll('transfers');
        const transferId = all[which % Math.max(1, all.length)]?.id ?? ('none' as never);
        if (is === 'ask') await ask({ quantity });
        if (is === 'send') await works.do('transfer.send', { transferId, binId, quantity, along: '' }, arun);
        if (is === 'arrive') await works.do('transfer.arrive', { transferId, binId: midBin, quantity }, arun);
        if (is === 'lose') await works.do('transfer.write-off', { transferId, quantity, reason: 'Lost' }, arun);
        if (is === 'close') await works.do('transfer.close', { transferId, reason: 'No' }, lea);
        if (is === 'move')
          await works.do('stock.move', { partId, fromBinId: midBin, toBinId: binId, quantity }, ann, noon);
      }
      const transfers = works.records.peekAll('transfers');
      const travelling = transfers.reduce((sum, transfer) => sum + inTransit(transfer), 0);
      const lost = transfers.flatMap(({ losses }) => losses).reduce((sum, { quantity }) => sum + quantity, 0);
      expect(onHandIn(binId) + onHandIn(midBin) + travelling + lost).toBe(8_000);
      expect(transfers.every((transfer) => inTransit(transfer) >= 0)).toBe(true);
    }),
    { numRuns: 60 },
  );
});
