import { asId, type PersonId } from '@oilcan/core/kernel';
import { requestState } from '@oilcan/core/stores/requests';
import {
  aLevel,
  anOperation,
  aPart,
  aPerson,
  aRequest,
  aStore,
  aWorkOrder,
  binId,
  minutesLater,
  partId,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { canPress, press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { AskedScreen } from './asked-screen';
import { AskSheet, JobRequests } from '../requests';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const shop = [
  ...smallWorks({ state: 'underway' }),
  put('people', arun),
  put('stores', aStore({ pickUpPlaces: ['Base counter'] })),
];
const work = aWorkOrder({ state: 'underway' });
const onClose = jest.fn();

let works: TestWorks;
afterEach(() => works.close());

const theRequest = async () => {
  const records = await works.sent();
  const [request] = records.peekList('requests', 'work', workId);
  if (request === undefined) throw new Error('Nothing was asked for.');
  return request;
};

describe('asking the store', () => {
  it('asks for what is short with one press once it is open', async () => {
    works = await TestWorks.open(shop);
    await works.show(<AskSheet work={work} part={aPart()} quantity={2_000} onClose={onClose} />);
    expect(words()).toContain('8 pcs in Base store');
    await press('Ask for 2 pcs');
    expect(works.said).toBe('Asked Base store for 2 pcs Seal.');
    expect(await theRequest()).toMatchObject({ partId, quantity: 2_000, bringTo: '', words: '' });
  });

  it('finds a part, or takes plain words for one that nobody knows', async () => {
    works = await TestWorks.open(shop);
    await works.show(<AskSheet work={work} onClose={onClose} />);
    await type('Which part: number or name', 'nothing like it');
    expect(words()).toContain('No part fits “nothing like it”.');
    await type('Which part: number or name', 'seal');
    expect(canPress(/SEAL-70/)).toBe(true);
    await press('I do not know what it is called');
    await press('Ask for 1 pcs');
    expect(words()).toContain('Choose a part, or say in words what is needed.');
    await type('What it is, and where it sits', 'The grey guide in the door');
    await press('Whenever', 'radio');
    await press('Ask for 1 pcs');
    expect(await theRequest()).toMatchObject({ partId: null, words: 'The grey guide in the door', neededBy: null });
  });

  it('counts what is whole as whole, and says so', async () => {
    works = await TestWorks.open(shop);
    await works.show(<AskSheet work={work} part={aPart()} onClose={onClose} />);
    await type('How many, in pcs', '1.5');
    await press('Ask for 1.5 pcs');
    expect(words()).toContain('This part is counted in whole pcs.');
  });
});

describe('a storekeeper', () => {
  const requests = [
    put('requests', aRequest({ neededBy: minutesLater(-10), bringTo: 'Tower 5' })),
    put('requests', aRequest({ id: 'words' as never, workOrderId: null, partId: null, words: 'A grey guide' })),
  ];

  it('sees what is needed first, what is there and what remains, and hands it out whole with two presses', async () => {
    works = await TestWorks.open([...shop, ...requests], arun);
    await works.show(<AskedScreen />);
    expect(words()).toContain('2 parts are asked for, 1 needed now');
    expect(words()).toMatch(/Needed now2 pcs SealBin C-04: 8 pcs · 6 pcs remain.*Whenever.*A grey guide/);
    await press('Hand out 2 pcs Seal');
    await press('Hand out 2 pcs');
    const request = await theRequest();
    expect(request.handouts).toMatchObject([{ quantity: 2_000, way: 'along', receivedAt: null }]);
    expect((await works.sent()).peek('stock', `${partId}@${binId}`)?.onHand).toBe(6_000);
  });

  it('hands out a part of it into a pick-up place, and says no with a reason to the rest', async () => {
    works = await TestWorks.open([...shop, put('requests', aRequest())], arun);
    await works.show(<AskedScreen />);
    await press('Hand out 2 pcs Seal');
    await type('Amount in pcs', '1');
    await press('Lies ready');
    await press('Base counter', 'radio');
    await press('Hand out 1 pcs');
    expect(words()).toContain('1 pcs Seal');
    await press('Hand out 1 pcs Seal');
    await press(/what else can be done/);
    await press('We cannot give it');
    await press('None left, ordered', 'radio');
    await press('Tell whoever asked');
    const request = await theRequest();
    expect([requestState(request), request.closed?.reason]).toEqual(['ready', 'None left, ordered']);
    expect(request.handouts[0]?.where).toBe('Base counter');
  });

  it('says which part was meant by words, and gives it', async () => {
    works = await TestWorks.open([...shop, ...requests.slice(1)], arun);
    await works.show(<AskedScreen />);
    await press('Hand out 2 pcs A grey guide');
    expect(words()).toContain('“A grey guide”');
    await type('Find a part: number or name', 'seal');
    await press(/SEAL-70/);
    await press('Hand out 2 pcs');
    const records = await works.sent();
    expect(records.peek('requests', 'words')?.handouts).toMatchObject([{ partId, quantity: 2_000, settles: 2_000 }]);
  });

  it('is told where the books say that there is less, and keeps it all the same', async () => {
    works = await TestWorks.open([...shop, put('stock', aLevel(1_000)), put('requests', aRequest())], arun);
    await works.show(<AskedScreen />);
    expect(words()).toContain('1 pcs short');
    await press('Hand out 2 pcs Seal');
    expect(words()).toContain('Hand out 1 pcs');
    await type('Amount in pcs', '2');
    expect(words()).toContain('By the books only 1 pcs lie there.');
    await press('Hand out 2 pcs');
    expect((await works.sent()).peek('stock', `${partId}@${binId}`)?.onHand).toBe(-1_000);
  });
});

describe('whoever asked', () => {
  it('sees how it stands on the job, picks it up, and brings back what was not used', async () => {
    works = await TestWorks.open([...shop, put('requests', aRequest())]);
    const args = {
      requestId: aRequest().id,
      partId,
      binId,
      quantity: 2_000,
      settles: 2_000,
      way: 'pickUp',
      where: 'Base counter',
    } as const;
    await works.show(<JobRequests work={work} />);
    expect(words()).toContain('Base store: asked');
    const handedOut = anOperation('request.hand-out', args, { by: arun.id });
    expect((await works.server.linkOf(arun).push([handedOut])).outcomes).toHaveLength(1);
    await works.sent();
    await works.show(<JobRequests work={work} />);
    expect(words()).toContain('Base store: ready at Base counter');
    await press('I have it: 2 pcs Seal');
    expect(words()).toContain('Base store: handed out');
    await press('Change: Seal');
    await press('Not used: 2 pcs back to bin C-04');
    expect(words()).not.toContain('Not used');
    expect((await works.sent()).peek('stock', `${partId}@${binId}`)?.onHand).toBe(8_000);
  });

  it('takes back what is not needed any more', async () => {
    works = await TestWorks.open([...shop, put('requests', aRequest())]);
    await works.show(<JobRequests work={work} />);
    await press('Change: Seal');
    await press('Not needed any more');
    expect(requestState(await theRequest())).toBe('withdrawn');
    expect(words()).not.toContain('Asked of the store');
  });
});
