import { asId, byId, type BinId, type PartId, type RequestId } from '../../../kernel/ids';
import { aBin, aLevel, binId, noon } from '../../../testing/builders';
import { aRequest, aStore } from '../../../testing/store-builders';
import { minutesLater } from '../../../testing/works';
import type { StoreRequest } from '../requests/request';
import { storeList } from './store-list';

const oil = asId<PartId>('oil');
const [c10, c4] = [asId<BinId>('c10'), asId<BinId>('c4')];
const rows = {
  bins: byId([aBin({ id: binId, label: 'C-4' }), aBin({ id: c10, label: 'C-10' }), aBin({ id: c4, label: 'C-5' })]),
  stores: byId([aStore()]),
  levels: [aLevel(3_000), aLevel(1_000, { id: 'b', binId: c4 }), aLevel(9_000, { id: 'oil', partId: oil, binId: c10 })],
};
const request = (id: string, given: Partial<StoreRequest> = {}): StoreRequest =>
  aRequest({ id: asId<RequestId>(id), ...given });
const idsOf = (requests: readonly StoreRequest[]) => storeList(requests, rows, noon).map((line) => line.request.id);

describe('the list of a storekeeper', () => {
  it('goes by when it is needed, and among what is needed alike by walking past the bins', () => {
    const soon = minutesLater(180);
    expect(
      idsOf([
        request('whenever'),
        request('oil', { partId: oil, neededBy: soon }),
        request('words', { partId: null, words: 'A grey guide', neededBy: soon }),
        request('seal', { neededBy: soon }),
        request('late', { partId: oil, neededBy: minutesLater(-5) }),
        request('tomorrow', { neededBy: minutesLater(26 * 60) }),
      ]),
    ).toEqual(['late', 'words', 'seal', 'oil', 'tomorrow', 'whenever']);
  });

  it('says what is there, what others want of the same, and what remains after all of them', () => {
    const [first] = storeList([request('a', { quantity: 2_000 }), request('b', { quantity: 3_000 })], rows, noon);
    expect(first).toMatchObject({ open: 2_000, onHand: 4_000, askedByOthers: 3_000, remains: -1_000, binId });
  });

  it('leaves out what was given, what was taken back, and what lies in other stores', () => {
    const given = request('given', { tookItself: { entry: 2_000 } as never });
    const other = aRequest({ storeId: 'mid' as never });
    expect(storeList([given, other], rows, noon).map((line) => [line.request.id, line.onHand, line.binId])).toEqual([
      ['request', 0, null],
    ]);
  });
});
