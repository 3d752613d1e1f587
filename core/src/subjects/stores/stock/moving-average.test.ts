import fc from 'fast-check';
import { aPart, ann, aPerson, binId, partId, put, site } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { averageAfterReceipt } from './moving-average';
import { sitePriceId } from './prices';

const arun = aPerson({ id: 'arun' as never, roles: ['storekeeper'] });
const inBin = { partId, binId };

describe('the moving average', () => {
  // Common practice: 10 at 5.00 and 10 at 7.00 are 20 at 6.00.
  it.each([
    [{ quantity: 10_000, priceMinor: 500 }, { quantity: 10_000, priceMinor: 700 }, 600],
    [{ quantity: 3_000, priceMinor: 100 }, { quantity: 1_000, priceMinor: 200 }, 125],
    [{ quantity: 1_000, priceMinor: 100 }, { quantity: 2_000, priceMinor: 200 }, 166.667],
    [{ quantity: 0, priceMinor: 999 }, { quantity: 5_000, priceMinor: 200 }, 200],
    [{ quantity: -2_000, priceMinor: 999 }, { quantity: 5_000, priceMinor: 200 }, 200],
  ])('of %j and %j is %d', (before, came, price) => {
    expect(averageAfterReceipt(before, came)).toBe(price);
  });

  it('is the exact fraction, rounded once to a thousandth of the smallest unit', () => {
    const priced = fc.record({
      quantity: fc.integer({ min: 1, max: 1e9 }),
      priceMinor: fc.integer({ min: 0, max: 1e10 }).map((parts) => parts / 1000),
    });
    fc.assert(
      fc.property(priced, priced, (before, came) => {
        const average = BigInt(Math.round(averageAfterReceipt(before, came) * 1000));
        const quantity = BigInt(before.quantity + came.quantity);
        const value =
          BigInt(before.quantity) * BigInt(Math.round(before.priceMinor * 1000)) +
          BigInt(came.quantity) * BigInt(Math.round(came.priceMinor * 1000));
        // No other thousandth is nearer: twice the distance is at most one.
        const distance = average * quantity - value;
        expect((distance < 0n ? -distance : distance) * 2n <= quantity).toBe(true);
      }),
      { numRuns: 500 },
    );
  });

  it('lies between the two prices', () => {
    const priced = fc.record({
      quantity: fc.integer({ min: 1, max: 1e8 }),
      priceMinor: fc.integer({ min: 0, max: 1e7 }),
    });
    fc.assert(
      fc.property(priced, priced, (before, came) => {
        const average = averageAfterReceipt(before, came);
        expect(average).toBeGreaterThanOrEqual(Math.min(before.priceMinor, came.priceMinor));
        expect(average).toBeLessThanOrEqual(Math.max(before.priceMinor, came.priceMinor));
      }),
    );
  });
});

describe('in the store', () => {
  it('what came makes the price, and what is used from then on costs it', async () => {
    const works = new Works();
    works.records.change([put('parts', aPart({ priceMinor: 1_000 }))]);
    expect(codeOf(await works.do('stock.receive', { ...inBin, quantity: 8_000, unitPriceMinor: 2_000 }, ann))).toBe(
      'role_missing',
    );
    expect(codeOf(await works.do('stock.receive', { ...inBin, quantity: 8_000, unitPriceMinor: 2_000 }, arun))).toBe(
      'accepted',
    );
    expect([works.onHand, works.records.peek('sitePrices', sitePriceId(site, partId))?.priceMinor]).toEqual([
      16_000, 1_500,
    ]);
    // What it costs elsewhere stays as it is.
    expect(works.records.peek('parts', partId)?.priceMinor).toBe(1_000);
    const workOrderId = works.work?.id ?? ('none' as never);
    await works.do('part.use', { workOrderId, ...inBin, quantity: 2_000 }, ann, minutesLater(1));
    expect(works.entries.find(({ content }) => content.kind === 'part')?.content).toMatchObject({
      cost: { minor: 3_000 },
    });
  });

  it('a count is what there is, also where the books were below zero', async () => {
    const works = new Works();
    const workOrderId = works.work?.id ?? ('none' as never);
    await works.do('part.use', { workOrderId, ...inBin, quantity: 11_000 });
    expect(works.onHand).toBe(-3_000);
    expect(codeOf(await works.do('stock.count', { ...inBin, quantity: 2_000 }, arun, minutesLater(1)))).toBe(
      'accepted',
    );
    expect(works.onHand).toBe(2_000);
    expect(works.records.peekAll('movements').find(({ reason }) => reason === 'count')).toMatchObject({
      reason: 'count',
      change: 5_000,
      workOrderId: null,
    });
    expect(codeOf(await works.do('stock.count', { ...inBin, quantity: 500 }, arun))).toBe('quantity_not_whole');
    expect(codeOf(await works.do('stock.count', { ...inBin, quantity: -1_000 }, arun))).toBe('invalid');
  });
});
