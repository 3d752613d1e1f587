import fc from 'fast-check';
import { asId, type AssetId, type BinId, type PartId, type PersonId, type RequestId } from '../../../kernel/ids';
import type { Outcome } from '../../../operations/operation';
import type { ArgsOf } from '../../../registry/operations';
import {
  ann,
  aPart,
  aPerson,
  binId,
  bob,
  noon,
  partId,
  put,
  workId,
  aBin,
  anAsset,
  aStop,
  aLevel,
  lea,
} from '../../../testing/builders';
import { aStore, storeId } from '../../../testing/store-builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { onHandAfter, type Part } from '../stock/stock';
import { openAmount, requestState, type StoreRequest } from '../requests/request';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const berta = aPerson({ id: asId<PersonId>('berta'), name: 'Berta', roles: ['storekeeper'] });

let works: Works;
beforeEach(() => {
  works = new Works({ state: 'underway', startedAt: noon });
  works.records.change([put('stores', aStore()), put('people', arun), put('people', berta)]);
});

const asked: ArgsOf<'request.make'> = {
  storeId,
  workOrderId: workId,
  partId,
  words: '',
  photo: null,
  quantity: 2_000,
  neededBy: null,
  bringTo: '',
};
const ask = (given: Partial<ArgsOf<'request.make'>> = {}): Promise<Outcome> =>
  works.do('request.make', { ...asked, ...given });
const requests = (): readonly StoreRequest[] => works.records.peekAll('requests');
const theRequest = (): StoreRequest => {
  const [request] = requests();
  if (request === undefined) throw new Error('Nothing was asked for.');
  return request;
};
const handOut = (given: Partial<ArgsOf<'request.hand-out'>> = {}, by = arun, at: string = noon): Promise<Outcome> => {
  const quantity = given.quantity ?? 1_000;
  const args = {
    requestId: theRequest().id,
    partId,
    binId,
    quantity,
    settles: quantity,
    way: 'person',
    where: '',
  } as const;
  return works.do('request.hand-out', { ...args, ...given }, by, at);
};
const state = (): string => requestState(theRequest());

describe('asking a store', () => {
  it('is for a part or for words, of a store where somebody stands, for a job that is open', async () => {
    expect(codeOf(await ask())).toBe('accepted');
    expect([state(), theRequest().unit]).toEqual(['asked', 'pcs']);
    expect(codeOf(await ask({ partId: null, words: 'The rubber thing between pump and motor' }))).toBe('accepted');
    expect(codeOf(await ask({ partId: null, words: '  ' }))).toBe('request_says_nothing');
    expect(codeOf(await ask({ partId: asId<PartId>('none') }))).toBe('not_found');
    expect(codeOf(await ask({ quantity: 2_500 }))).toBe('quantity_not_whole');
    expect(codeOf(await ask({ quantity: -1_000 }))).toBe('invalid');
    works.records.change([put('stores', aStore({ isAttended: false }))]);
    expect(codeOf(await ask())).toBe('request_store_not_attended');
    works.records.change([put('stores', aStore())]);
    await works.do('work.drop', { workOrderId: workId, reason: 'Sold' }, lea);
    expect(codeOf(await ask())).toBe('work_order_closed');
  });

  it('names the successor of what is not bought any more, unless some of it is left there', async () => {
    const old: Part = aPart({ isObsolete: true, successorId: asId<PartId>('new') });
    works.records.change([put('parts', old), put('parts', aPart({ id: asId<PartId>('new'), number: 'SEAL-71' }))]);
    expect(codeOf(await ask())).toBe('accepted');
    works.records.change([put('stock', aLevel(0))]);
    expect(await ask()).toMatchObject({ code: 'request_obsolete', values: { successor: 'SEAL-71' } });
  });
});

describe('handing out', () => {
  it('lowers the stock, stands on the job with its cost, and ends the request when it is whole', async () => {
    await ask();
    expect(codeOf(await handOut())).toBe('accepted');
    expect([state(), works.onHand]).toEqual(['partly', 7_000]);
    expect(codeOf(await handOut({ way: 'pickUp', where: 'Base counter' }))).toBe('accepted');
    expect([state(), works.onHand, theRequest().endedAt]).toEqual(['ready', 6_000, null]);
    const [, last] = theRequest().handouts;
    await works.do('request.receive', { requestId: theRequest().id, handoutId: last?.id ?? '' });
    expect([state(), theRequest().endedAt]).toEqual(['handedOut', noon]);
    const uses = works.entries.flatMap(({ content, by }) =>
      content.kind === 'part' ? [[by, content.quantity, content.cost.minor]] : [],
    );
    expect(uses).toEqual([
      [arun.id, 1_000, 3_820],
      [arun.id, 1_000, 3_820],
    ]);
  });

  it('never gives more than was asked for: the second storekeeper hears who gave it', async () => {
    await ask();
    await handOut({ quantity: 2_000 });
    expect(await handOut({ quantity: 2_000 }, berta)).toMatchObject({
      code: 'request_more_than_open',
      values: { asked: '2', left: '0', who: 'Arun' },
    });
    expect(works.onHand).toBe(6_000);
  });

  it('does not give what the job took from the bin meanwhile, and gives it again where that is taken back', async () => {
    await ask();
    await works.do('part.use', { workOrderId: workId, partId, binId, quantity: 1_000, assetId: undefined });
    expect([state(), openAmount(theRequest())]).toEqual(['partly', 1_000]);
    expect(codeOf(await handOut({ quantity: 2_000 }))).toBe('request_more_than_open');
    const use = works.entries.find(({ content }) => content.kind === 'part');
    if (use === undefined) throw new Error('Nothing was taken.');
    const onEntry = { workOrderId: workId, entryId: use.id };
    await works.do('part.amend', { ...onEntry, quantity: 2_000 });
    expect([state(), openAmount(theRequest())]).toEqual(['handedOut', 0]);
    const amended = works.entries.find(({ amends }) => amends === use.id);
    await works.do('entry.withdraw', { workOrderId: workId, entryId: amended?.id ?? use.id, reason: 'Not taken' });
    expect([state(), openAmount(theRequest()), works.onHand]).toEqual(['asked', 2_000, 8_000]);
  });

  it('follows an amount that was put right, and what was taken back was not handed out', async () => {
    await ask();
    await handOut({ quantity: 2_000 });
    const use = works.entries.find(({ content }) => content.kind === 'part');
    if (use === undefined) throw new Error('Nothing was handed out.');
    await works.do('part.amend', { workOrderId: workId, entryId: use.id, quantity: 1_000 }, lea);
    expect([state(), openAmount(theRequest()), works.onHand]).toEqual(['partly', 1_000, 7_000]);
  });

  it('gives another part in its place, of which it is said how much it settles', async () => {
    const other = asId<PartId>('other');
    works.records.change([
      put('parts', aPart({ id: other, number: 'SEAL-80' })),
      put('stock', aLevel(5_000, { id: `${other}@${binId}`, partId: other })),
    ]);
    await ask();
    expect(codeOf(await handOut({ partId: other, quantity: 1_000, settles: 2_000 }))).toBe('accepted');
    expect([state(), works.onHand]).toEqual(['handedOut', 8_000]);
  });

  it('is refused where the request was taken back, unless nobody could know', async () => {
    await ask();
    await works.do('request.withdraw', { requestId: theRequest().id, reason: '' });
    expect(state()).toBe('withdrawn');
    expect(codeOf(await handOut({}, arun, minutesLater(1)))).toBe('request_closed');
    // At the moment at which it was taken back nobody could know of it.
    expect(codeOf(await handOut())).toBe('accepted');
    expect([state(), openAmount(theRequest())]).toEqual(['handedOut', 0]);
  });

  it('is for the store and leads alone; so is saying no', async () => {
    await ask();
    expect(codeOf(await handOut({}, ann))).toBe('role_missing');
    expect(codeOf(await works.do('request.decline', { requestId: theRequest().id, reason: 'None left' }, arun))).toBe(
      'accepted',
    );
    expect(state()).toBe('declined');
    expect(codeOf(await works.do('request.withdraw', { requestId: theRequest().id, reason: '' }, bob))).toBe(
      'request_of_another',
    );
  });
});

describe('without a job', () => {
  it('the stock moves to whoever asked, and what is not used comes back, never more than was given', async () => {
    await ask({ workOrderId: null });
    await handOut({ quantity: 2_000 });
    expect([works.onHand, works.entries.length]).toEqual([6_000, 0]);
    const request = theRequest();
    const back = (quantity: number) =>
      works.do('request.bring-back', {
        requestId: request.id,
        handoutId: request.handouts[0]?.id ?? '',
        binId,
        quantity,
      });
    expect(codeOf(await back(3_000))).toBe('returned_more_than_handed_out');
    expect(codeOf(await back(2_000))).toBe('accepted');
    expect(codeOf(await back(1_000))).toBe('returned_more_than_handed_out');
    expect([works.onHand, state()]).toEqual([8_000, 'handedOut']);
  });
});

describe('at the counter', () => {
  it('a job gets what it had not asked for; what it had is not handed out again', async () => {
    await ask();
    const give = { workOrderId: workId, partId, binId, quantity: 1_000, to: ann.id };
    expect(codeOf(await works.do('part.hand-out', give, arun))).toBe('accepted');
    expect([openAmount(theRequest()), works.onHand]).toEqual([1_000, 7_000]);
    expect(codeOf(await works.do('part.return', { workOrderId: workId, partId, binId, quantity: 1_000 }, arun))).toBe(
      'accepted',
    );
    expect(works.onHand).toBe(8_000);
  });

  it('what was not used comes back to the store when the work is finished, until it is accepted', async () => {
    await works.do('part.hand-out', { workOrderId: workId, partId, binId, quantity: 2_000, to: null }, arun);
    const record = works.records.peek('workOrders', workId);
    if (record === undefined) throw new Error('No work.');
    const back = { workOrderId: workId, partId, binId, quantity: 1_000 };
    works.records.change([put('workOrders', { ...record, state: 'finished', finishedAt: noon })]);
    expect(codeOf(await works.do('part.return', back, arun, minutesLater(60)))).toBe('accepted');
    works.records.change([put('workOrders', { ...record, state: 'accepted', finishedAt: noon, closedAt: noon })]);
    expect(codeOf(await works.do('part.return', back, arun, minutesLater(60)))).toBe('work_order_closed');
  });
});

describe('whatever is done in whatever order', () => {
  const deeds = fc.array(
    fc.record({
      is: fc.constantFrom('ask', 'give', 'take', 'back', 'counter', 'withdraw', 'undo'),
      pieces: fc.integer({ min: 1, max: 4 }),
      which: fc.nat(5),
    }),
    { minLength: 1, maxLength: 14 },
  );

  it('the bin is the sum of its movements, no request gets more than was asked for, and no piece is lost', async () => {
    await fc.assert(
      fc.asyncProperty(deeds, async (all) => {
        works = new Works({ state: 'underway', startedAt: noon });
        works.records.change([put('stores', aStore()), put('people', arun), put('people', berta), put('bins', aBin())]);
        for (const { is, pieces, which } of all) {
          const quantity = pieces * 1_000;
          const some = requests();
          const request = some[which % Math.max(1, some.length)];
          const requestId = request?.id ?? asId<RequestId>('none');
          const uses = works.entries.filter(({ content }) => content.kind === 'part');
          if (is === 'ask') await ask({ quantity });
          if (is === 'give' && request !== undefined)
            await handOut({ requestId, quantity }, which % 2 === 0 ? arun : berta);
          if (is === 'take')
            await works.do('part.use', { workOrderId: workId, partId, binId, quantity, assetId: undefined });
          if (is === 'counter')
            await works.do('part.hand-out', { workOrderId: workId, partId, binId, quantity, to: null }, arun);
          if (is === 'withdraw') await works.do('request.withdraw', { requestId, reason: '' });
          const handoutId = request?.handouts[0]?.id ?? 'none';
          if (is === 'back')
            await works.do('request.bring-back', { requestId, handoutId, binId: asId<BinId>(binId), quantity });
          const use = uses[which % Math.max(1, uses.length)];
          if (is === 'undo' && use !== undefined)
            await works.do('entry.withdraw', { workOrderId: workId, entryId: use.id, reason: 'Not taken' }, lea);
        }
        const onJob = works.records
          .peekAll('movements')
          .filter(({ reason }) => reason !== 'opening')
          .reduce((sum, { change }) => sum - change, 0);
        expect(works.onHand).toBe(onHandAfter(works.records.peekAll('movements')));
        expect((works.onHand ?? 0) + onJob).toBe(8_000);
        for (const request of requests()) {
          const given = request.handouts.reduce((sum, { settles }) => sum + settles, 0);
          const own = Object.values(request.tookItself).reduce((sum, amount) => sum + amount, 0);
          expect(given + own).toBeLessThanOrEqual(request.quantity);
          expect(request.handouts.every(({ returned, quantity }) => returned <= quantity)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});

it('is of the sites of whoever asks', async () => {
  const stranger = aPerson({ id: asId<PersonId>('sam'), siteIds: [] });
  expect(codeOf(await works.do('request.make', asked, stranger))).toBe('not_found');
});

it('on a round what is asked for at a stop, and handed out, is of the machine there', async () => {
  const pump = asId<AssetId>('pump');
  works.records.change([
    put('assets', anAsset({ id: pump, name: 'Pump', tag: 'P1' })),
    put('assets', anAsset({ id: asId<AssetId>('far'), name: 'Far', tag: 'F1' })),
    put('stops', aStop({ assetId: pump })),
  ]);
  expect(codeOf(await ask({ assetId: asId<AssetId>('far') }))).toBe('machine_not_of_job');
  await ask({ assetId: pump });
  await handOut();
  await works.do(
    'part.hand-out',
    { workOrderId: workId, partId, binId, quantity: 1_000, to: null, assetId: pump },
    arun,
  );
  const uses = works.entries.filter(({ content }) => content.kind === 'part');
  expect(uses.map((entry) => entry.assetId)).toEqual([pump, pump]);
});
