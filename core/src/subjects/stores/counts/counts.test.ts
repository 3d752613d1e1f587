import fc from 'fast-check';
import { asId, type BinId, type CountId, type PartId, type PersonId, type StoreId } from '../../../kernel/ids';
import type { Operation, Outcome } from '../../../operations/operation';
import type { ArgsOf, OperationName } from '../../../registry/operations';
import {
  ann,
  aPart,
  aPerson,
  anOperation,
  binId,
  bob,
  lea,
  noon,
  otherSite,
  partId,
  put,
  site,
  workId,
} from '../../../testing/builders';
import { aStore, storeId } from '../../../testing/store-builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { onHandAfter } from '../stock/stock';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });

const start = (): Works => {
  const works = new Works({ state: 'underway', startedAt: noon });
  works.records.change([put('stores', aStore()), put('people', arun)]);
  return works;
};
let works: Works;
beforeEach(() => {
  works = start();
});

const counted = { partId, binId, quantity: 7_000, books: 8_000 };
const keep = (given: Partial<ArgsOf<'count.keep'>> = {}, at: string = noon): Promise<Outcome> =>
  works.do('count.keep', { ...counted, ...given }, ann, at);
const theCount = () => {
  const [count] = works.records.peekAll('counts');
  if (count === undefined) throw new Error('Nothing was counted.');
  return count;
};
const post = (by = arun, at: string = noon, reason = ''): Promise<Outcome> =>
  works.do('count.post', { countId: theCount().id, reason }, by, at);
const use = (quantity: number, at: string): Promise<Outcome> =>
  works.do('part.use', { workOrderId: workId, partId, binId, quantity, assetId: undefined }, ann, at);

describe('a count', () => {
  it('is kept as it was counted, and changes the books when somebody posts it who may', async () => {
    expect(codeOf(await keep())).toBe('accepted');
    expect([works.onHand, theCount().settled]).toEqual([8_000, null]);
    expect(codeOf(await post(ann))).toBe('role_missing');
    expect(codeOf(await post(arun, noon, 'One went without a note'))).toBe('accepted');
    expect(works.onHand).toBe(7_000);
    expect(theCount().settled).toMatchObject({ is: 'posted', by: arun.id, variance: -1_000 });
    // Posted by another too, it counts once.
    expect(codeOf(await post(lea))).toBe('accepted');
    expect(works.onHand).toBe(7_000);
  });

  it('keeps what moved between counting and posting', async () => {
    await keep();
    await use(2_000, minutesLater(5));
    await post(arun, minutesLater(10));
    expect(works.onHand).toBe(5_000);
  });

  it('has in it what was taken before, however late that comes to be known', async () => {
    await keep({}, minutesLater(10));
    await post(arun, minutesLater(11));
    await use(1_000, minutesLater(5));
    expect(works.onHand).toBe(7_000);
    expect(onHandAfter(works.records.peekAll('movements'))).toBe(7_000);
    // A use that was never made changes nothing of what was counted after it either.
    const [entry] = works.entries.filter(({ content }) => content.kind === 'part');
    await works.do(
      'entry.withdraw',
      { workOrderId: workId, entryId: entry?.id as never, reason: 'Not taken' },
      ann,
      minutesLater(20),
    );
    expect(works.onHand).toBe(7_000);
    await use(1_000, minutesLater(30));
    expect(works.onHand).toBe(6_000);
  });

  it('that was set aside is not posted, and one that was posted is not set aside', async () => {
    await keep();
    const dismiss = (): Promise<Outcome> =>
      works.do('count.dismiss', { countId: theCount().id, reason: 'Wrong bin' }, arun);
    expect(codeOf(await dismiss())).toBe('accepted');
    expect(await post()).toMatchObject({ code: 'count_settled', values: { who: 'Arun' } });
    expect(works.onHand).toBe(8_000);
    works = start();
    await keep();
    await post();
    expect(codeOf(await dismiss())).toBe('count_settled');
  });

  it.each([
    [-1, 'invalid'],
    [1e12, 'invalid'],
    [2_500, 'quantity_not_whole'],
    [1.5, 'invalid'],
    [0, 'accepted'],
  ])('of %d thousandths of what is counted whole: %s', async (quantity, code) => {
    expect(codeOf(await keep({ quantity }))).toBe(code);
  });

  it('of a bin or a part that is not there is refused', async () => {
    expect(codeOf(await keep({ binId: asId<BinId>('gone') }))).toBe('not_found');
    expect(codeOf(await keep({ partId: asId<PartId>('gone') }))).toBe('not_found');
    expect(codeOf(await works.do('count.post', { countId: asId<CountId>('gone'), reason: '' }, arun))).toBe(
      'not_found',
    );
    const stranger = aPerson({ id: asId<PersonId>('sam'), siteIds: [] });
    expect(codeOf(await works.do('count.keep', counted, stranger))).toBe('not_found');
  });

  it('of a bin that held another part before begins from nothing', async () => {
    const other = asId<PartId>('other');
    works.records.change([put('parts', aPart({ id: other, number: 'NEW-1' }))]);
    await keep({ partId: other, quantity: 3_000, books: 0 });
    await post();
    expect(works.records.peek('stock', `${other}@${binId}`)?.onHand).toBe(3_000);
    expect(works.onHand).toBe(8_000);
  });
});

describe('how a store is counted', () => {
  it('is the lead’s to say, for a store of their site', async () => {
    const blind = { siteId: site, storeId, isBlind: true };
    expect(codeOf(await works.do('store.count-blind', blind, arun))).toBe('role_missing');
    expect(codeOf(await works.do('store.count-blind', blind, lea))).toBe('accepted');
    expect(works.records.peek('stores', storeId)?.isCountedBlind).toBe(true);
    expect(codeOf(await works.do('store.count-blind', { ...blind, siteId: otherSite }, lea))).not.toBe('accepted');
    expect(codeOf(await works.do('store.count-blind', { ...blind, storeId: asId<StoreId>('none') }, lea))).toBe(
      'not_found',
    );
  });
});

/** Something that happens at a minute, on somebody's phone. */
type Deed =
  | { readonly is: 'use' | 'receive'; readonly minute: number; readonly pieces: number }
  | { readonly is: 'count'; readonly minute: number; readonly pieces: number };

const deeds = fc.uniqueArray(
  fc.record({
    is: fc.constantFrom('use' as const, 'receive' as const, 'count' as const),
    minute: fc.integer({ min: 1, max: 500 }),
    pieces: fc.integer({ min: 1, max: 9 }),
  }),
  { minLength: 1, maxLength: 9, selector: ({ minute }) => minute },
);

const operationOf = ({ is, minute, pieces }: Deed): Operation => {
  const at = minutesLater(minute);
  const named = <N extends OperationName>(name: N, args: ArgsOf<N>, by: PersonId): Operation =>
    anOperation(name, args, { at, by });
  const quantity = pieces * 1_000;
  if (is === 'count') return named('stock.count', { partId, binId, quantity }, arun.id);
  if (is === 'receive') return named('stock.receive', { partId, binId, quantity, unitPriceMinor: 4_000 }, arun.id);
  return named('part.use', { workOrderId: workId, partId, binId, quantity, assetId: undefined }, bob.id);
};

/** What must lie there: what was counted last, and what moved after it. */
function truth(all: readonly Deed[]): number {
  const inTime = [...all].sort((a, b) => a.minute - b.minute);
  return inTime.reduce((there, { is, pieces }) => {
    if (is === 'count') return pieces;
    return is === 'use' ? there - pieces : there + pieces;
  }, 8);
}

describe('counts, uses and receipts of several phones', () => {
  it('come to the same in whatever order they reach the server', async () => {
    await fc.assert(
      fc.asyncProperty(
        deeds.chain((all) => fc.tuple(fc.constant(all), fc.shuffledSubarray(all, { minLength: all.length }))),
        async ([all, arriving]) => {
          const shop = start();
          for (const deed of arriving) {
            const operation = operationOf(deed);
            const by = operation.by === bob.id ? { ...bob, roles: ['technician', 'lead'] as const } : arun;
            // Known long after it was done.
            const outcome = await shop.send(operation, by, minutesLater(1_000));
            expect(codeOf(outcome)).toBe('accepted');
          }
          expect(shop.onHand).toBe(truth(all) * 1_000);
          expect(onHandAfter(shop.records.peekAll('movements'))).toBe(shop.onHand);
        },
      ),
      { numRuns: 150 },
    );
  });
});
