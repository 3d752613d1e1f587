import { aLevel, aWorkOrder, binId, noon, partId, workId } from '../../../testing/builders';
import { aCount, aRequest, aTransfer, storeId } from '../../../testing/store-builders';
import { minutesLater } from '../../../testing/works';
import type { Handout } from '../requests/request';
import { likelyReasons, type ReasonRows } from './likely-reasons';

const nothing: ReasonRows = { level: aLevel(8_000), requests: [], transfers: [], works: [], usedOn: () => 0 };
const ready: Handout = {
  id: 'h',
  partId,
  binId,
  quantity: 1_000,
  settles: 1_000,
  way: 'pickUp',
  where: 'Base counter',
  by: 'arun' as never,
  at: noon,
  receivedAt: null,
  returned: 0,
  entryId: null,
};
const onTheWay = aTransfer({
  toStoreId: storeId,
  sent: { binId, quantity: 2_000, along: '', by: 'arun' as never, at: noon, unitPrice: { minor: 1, currency: 'EUR' } },
});
const kit = [{ partId, binId, quantity: 1_000, unit: null }];
const begun = aWorkOrder({ state: 'underway', startedAt: noon, kit });

const kinds = (quantity: number, rows: Partial<ReasonRows>): string[] =>
  likelyReasons(aCount({ quantity }), { ...nothing, ...rows }).map(({ is }) => is);

describe('what a variance may come from', () => {
  it('is nothing where the count meets the books, or nothing is known', () => {
    expect([kinds(8_000, { requests: [aRequest({ handouts: [ready] })] }), kinds(9_000, {}), kinds(7_000, {})]).toEqual(
      [[], [], []],
    );
  });

  it('of more: what lies ready or has come, first what explains exactly as much', () => {
    const rows = { requests: [aRequest({ handouts: [ready] })], transfers: [onTheWay] };
    expect(kinds(9_000, rows)).toEqual(['liesReady', 'arrived']);
    expect(kinds(10_000, rows)).toEqual(['arrived', 'liesReady']);
    const fetched = { ...ready, receivedAt: noon };
    expect(kinds(9_000, { requests: [aRequest({ handouts: [fetched] })] })).toEqual([]);
  });

  it('of less: a job that has begun and has written none, and what was received lately', () => {
    expect(kinds(7_000, { works: [begun] })).toEqual(['job']);
    expect(kinds(7_000, { works: [begun], usedOn: (id) => (id === workId ? 1_000 : 0) })).toEqual([]);
    expect(kinds(7_000, { works: [aWorkOrder({ kit })] })).toEqual([]);
    expect(kinds(7_000, { level: aLevel(8_000, { receivedAt: minutesLater(-60) }) })).toEqual(['notUnpacked']);
    expect(kinds(7_000, { level: aLevel(8_000, { receivedAt: minutesLater(-10 * 24 * 60) }) })).toEqual([]);
  });
});
