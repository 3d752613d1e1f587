import { asId, type BinId, type PersonId, type StoreId } from '@oilcan/core/kernel';
import type { Movement } from '@oilcan/core/stores/stock';
import {
  aBin,
  aLevel,
  ann,
  anOperation,
  aPerson,
  aStore,
  binId,
  noon,
  otherSite,
  partId,
  put,
  smallWorks,
  storeId,
  workId,
} from '@oilcan/core/testing';
import type { Notice } from '@oilcan/core/overview/notices';
import type { Change } from '@oilcan/core/records';
import { noticeHeadline } from '@oilcan/core/registry';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const berta = aPerson({ id: asId<PersonId>('berta'), name: 'Berta', roles: ['storekeeper'] });
const far = asId<BinId>('far');

let works: TestServer;
beforeEach(async () => {
  works = await startTestServer([
    ...smallWorks(),
    put('people', arun),
    put('people', berta),
    put('stores', aStore()),
    put('bins', aBin({ id: far, siteId: otherSite })),
    put('stock', aLevel(1_000, { id: `${partId}@${far}`, siteId: otherSite, binId: far })),
    put('movements', {
      id: 'elsewhere',
      partId,
      binId: far,
      change: 1_000,
      reason: 'opening',
      at: noon,
      workOrderId: null,
      entryId: null,
    }),
  ]);
});
afterEach(() => works.close());

const askIt = () =>
  anOperation('request.make', {
    storeId,
    workOrderId: workId,
    partId,
    words: '',
    photo: null,
    quantity: 2_000,
    neededBy: null,
    bringTo: 'Tower 5',
  });
const giveIt = (requestId: string, by: typeof arun) =>
  anOperation(
    'request.hand-out',
    { requestId: requestId as never, partId, binId, quantity: 2_000, settles: 2_000, way: 'pickUp', where: 'Counter' },
    { by: by.id },
  );
const told = async (cookie: string): Promise<string[]> => {
  const { changes } = await works.pull(cookie);
  const notices = changes.flatMap((change: Change): Notice[] =>
    change.table === 'notices' && change.row !== null ? [change.row] : [],
  );
  return notices.map((notice) => `${notice.number} ${notice.title}: ${noticeHeadline(notice, 'Europe/Vienna')}`);
};

describe('what is behind the stock of a part', () => {
  it('are the movements of its bins on the sites of whoever asks, the newest first', async () => {
    const cookie = await works.signIn(ann);
    const use = { workOrderId: workId, partId, binId, quantity: 3_000, assetId: undefined };
    await works.push(cookie, [anOperation('part.use', use, { at: '2026-11-23T12:10:00.000+01:00' })]);
    const answer = await works.ask(cookie, { url: `/api/parts/${partId}/movements` });
    const { movements, hasMore } = answer.json<{ movements: Movement[]; hasMore: boolean }>();
    expect(movements.map(({ reason, change, by }) => [reason, change, by])).toEqual([
      ['use', -3_000, ann.id],
      ['opening', 8_000, undefined],
    ]);
    expect(hasMore).toBe(false);
  });

  it('is told to nobody who is not signed in, and of no part that is not there', async () => {
    const cookie = await works.signIn(ann);
    expect((await works.ask(cookie, { url: '/api/parts/none/movements' })).statusCode).toBe(404);
    expect((await works.ask('', { url: `/api/parts/${partId}/movements` })).statusCode).toBe(401);
  });
});

describe('two storekeepers on one request, each without signal', () => {
  it('hand it out once: the second hears who was first, and everybody concerned is told', async () => {
    const [annCookie, arunCookie, bertaCookie] = [
      await works.signIn(ann),
      await works.signIn(arun),
      await works.signIn(berta),
    ];
    const asked = askIt();
    expect(codesOf(await works.push(annCookie, [asked]))).toEqual(['accepted']);
    expect(await told(arunCookie)).toEqual(['W-1 Seal: Asked of the store: 2 pcs, Tower 5']);
    expect(codesOf(await works.push(arunCookie, [giveIt(asked.id, arun)]))).toEqual(['accepted']);
    expect(codesOf(await works.push(bertaCookie, [giveIt(asked.id, berta)]))).toEqual(['request_more_than_open']);
    expect(await told(annCookie)).toEqual(['W-1 Seal: From the store: 2 pcs lie ready at Counter']);
    const { changes } = await works.pull(annCookie);
    expect(changes.find(({ table, id }) => table === 'stock' && id === `${partId}@${binId}`)?.row).toMatchObject({
      onHand: 6_000,
    });
  });
});

describe('what moves between stores', () => {
  it('is told to the storekeepers who are asked, and to whoever asked and waits for it when it is sent or not', async () => {
    await works.close();
    const fay = aPerson({ id: asId<PersonId>('fay'), name: 'Fay', roles: ['storekeeper'], siteIds: [otherSite] });
    const valley = aStore({ id: asId<StoreId>('valley'), name: 'Valley store', siteId: otherSite });
    works = await startTestServer([
      ...smallWorks(),
      put('people', arun),
      put('people', fay),
      put('stores', aStore()),
      put('stores', valley),
      put('bins', aBin({ id: far, siteId: otherSite, storeId: valley.id })),
      put('stock', aLevel(1_000, { id: `${partId}@${far}`, siteId: otherSite, binId: far })),
    ]);
    const [annCookie, arunCookie, fayCookie] = [
      await works.signIn(ann),
      await works.signIn(arun),
      await works.signIn(fay),
    ];
    const ends = { fromStoreId: valley.id, toStoreId: storeId, partId, quantity: 1_000 };
    const asked = anOperation('transfer.ask', { ...ends, workOrderId: workId, requestId: null, note: 'Urgent' });
    expect(codesOf(await works.push(annCookie, [asked]))).toEqual(['accepted']);
    expect(await told(fayCookie)).toEqual(['W-1 Seal: Asked of the store: 1 pcs, Urgent']);
    const sent = anOperation(
      'transfer.send',
      { transferId: asked.id as never, binId: far, quantity: 1_000, along: 'the bus' },
      { by: fay.id },
    );
    expect(codesOf(await works.push(fayCookie, [sent]))).toEqual(['accepted']);
    const onTheWay = ['W-1 Seal: From the store: 1 pcs are on the way with the bus, from Valley store'];
    expect([await told(annCookie), await told(arunCookie)]).toEqual([onTheWay, onTheWay]);
  });
});
