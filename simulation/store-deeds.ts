import { addMinutes, asId, type BinId, type Instant, type RequestId, type StoreId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import type { MemoryRecords } from '@oilcan/core/records';
import { openAmount } from '@oilcan/core/stores/requests';
import { aBin, aStore, binId, partId, put, storeId } from '@oilcan/core/testing';
import type { Deed } from './deeds';

/** What can be done in the stores, each as often as it is named. */
export const deedsOfStores = [
  'ask the store',
  'ask the store',
  'ask in words',
  'hand out',
  'hand out',
  'hand out to a job',
  'say no to a request',
  'take back a request',
  'change a request',
  'pick up',
  'bring back',
  'ask another store',
  'send to another store',
  'send unasked',
  'arrive',
  'write off',
  'close a transfer',
  'move between bins',
  'keep a count',
  'post a count',
  'set a count aside',
  'count a bin',
] as const;

const midStoreId = asId<StoreId>('mid');
/** The bin of the other store. */
export const midBinId = asId<BinId>('mid-bin');

/** Two stores: the one in which the bin of every test stands, and another. */
export const storesOfShift = [
  put('stores', aStore()),
  put('stores', aStore({ id: midStoreId, name: 'Mid store', isAttended: false })),
  put('bins', aBin({ id: midBinId, storeId: midStoreId, label: 'M-1' })),
];

/** What such a deed means to this person, looking at their own phone; null when there is nothing to do it to, undefined for another deed. */
export function storeDeedOf(
  what: string,
  choice: number,
  view: MemoryRecords,
  _person: Person,
  now: Instant,
): Deed | null | undefined {
  const nth = <Row>(rows: readonly Row[]): Row | undefined => rows[choice % Math.max(1, rows.length)];
  const work = nth(view.peekAll('workOrders'));
  const request = nth(view.peekAll('requests'));
  const transfer = nth(view.peekAll('transfers'));
  const count = nth(view.peekAll('counts'));
  const quantity = (1 + (choice % 3)) * 1_000;
  const requestId = request?.id ?? asId<RequestId>('none');
  const neededBy = choice % 2 === 0 ? null : addMinutes(now, choice % 300);
  const handout = nth(request?.handouts ?? []);
  switch (what) {
    case 'ask the store':
    case 'ask in words': {
      const isInWords = what === 'ask in words';
      const words = isInWords ? `A thing ${choice}` : '';
      const workOrderId = choice % 4 === 0 ? null : (work?.id ?? null);
      const asked = { storeId, workOrderId, partId: isInWords ? null : partId, words, photo: null };
      return { name: 'request.make', args: { ...asked, quantity, neededBy, bringTo: '' } };
    }
    case 'hand out': {
      if (request === undefined) return null;
      const settles = choice % 3 === 0 ? quantity : Math.max(1_000, openAmount(request));
      const way = (['person', 'pickUp', 'along'] as const)[choice % 3] ?? 'person';
      return {
        name: 'request.hand-out',
        args: { requestId, partId, binId, quantity: settles, settles, way, where: '' },
      };
    }
    case 'hand out to a job':
      return work === undefined
        ? null
        : { name: 'part.hand-out', args: { workOrderId: work.id, partId, binId, quantity, to: null } };
    case 'say no to a request':
      return { name: 'request.decline', args: { requestId, reason: 'None left' } };
    case 'take back a request':
      return { name: 'request.withdraw', args: { requestId, reason: '' } };
    case 'change a request':
      return { name: 'request.change', args: { requestId, quantity, neededBy, bringTo: 'Tower 5' } };
    case 'pick up':
      return handout === undefined ? null : { name: 'request.receive', args: { requestId, handoutId: handout.id } };
    case 'bring back':
      return handout === undefined
        ? null
        : { name: 'request.bring-back', args: { requestId, handoutId: handout.id, binId, quantity } };
    case 'ask another store': {
      const args = {
        fromStoreId: storeId,
        toStoreId: midStoreId,
        partId,
        quantity,
        workOrderId: null,
        requestId: null,
      };
      return { name: 'transfer.ask', args: { ...args, note: '' } };
    }
    case 'send unasked': {
      const args = { fromStoreId: storeId, toStoreId: midStoreId, partId, quantity, binId, along: '' };
      return { name: 'transfer.send-unasked', args };
    }
    case 'send to another store':
      return transfer === undefined
        ? null
        : { name: 'transfer.send', args: { transferId: transfer.id, binId, quantity, along: 'Cabin 12' } };
    case 'arrive':
      return transfer === undefined
        ? null
        : { name: 'transfer.arrive', args: { transferId: transfer.id, binId: midBinId, quantity } };
    case 'write off':
      return transfer === undefined
        ? null
        : { name: 'transfer.write-off', args: { transferId: transfer.id, quantity, reason: 'Lost' } };
    case 'close a transfer':
      return transfer === undefined
        ? null
        : { name: 'transfer.close', args: { transferId: transfer.id, reason: 'Not needed' } };
    case 'move between bins': {
      const isBack = choice % 2 === 0;
      const [fromBinId, toBinId] = isBack ? [midBinId, binId] : [binId, midBinId];
      return { name: 'stock.move', args: { partId, fromBinId, toBinId, quantity } };
    }
    case 'keep a count':
      return { name: 'count.keep', args: { partId, binId: midBinId, quantity, books: 0 } };
    case 'post a count':
      return count === undefined ? null : { name: 'count.post', args: { countId: count.id, reason: '' } };
    case 'set a count aside':
      return count === undefined ? null : { name: 'count.dismiss', args: { countId: count.id, reason: 'Wrong bin' } };
    case 'count a bin':
      return { name: 'stock.count', args: { partId, binId: choice % 2 === 0 ? binId : midBinId, quantity } };
    default:
      return undefined;
  }
}
