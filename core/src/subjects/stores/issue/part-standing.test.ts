import { asId, type WorkOrderId } from '../../../kernel/ids';
import { aLevel, aPart, aWorkOrder, binId, partId, workId } from '../../../testing/builders';
import { aRequest, aTransfer } from '../../../testing/store-builders';
import { partStanding, type StandingRows } from './part-standing';

const kit = [{ partId, binId, quantity: 2_000, unit: null }];
const nothing: StandingRows = { levels: [], requests: [], transfers: [], works: [], usedOn: () => 0 };
const standing = (rows: Partial<StandingRows>) => partStanding(aPart(), { ...nothing, ...rows });

describe('how a part stands', () => {
  it('is what lies there less what open jobs still need; what was used is needed no more', () => {
    const works = [aWorkOrder({ kit }), aWorkOrder({ id: asId<WorkOrderId>('w-2'), kit, state: 'finished' })];
    const levels = [aLevel(8_000)];
    expect(standing({ levels, works })).toMatchObject({ onHand: 8_000, needed: 2_000, jobs: 1, remains: 6_000 });
    const usedOn = () => 500;
    expect(standing({ levels, works, usedOn })).toMatchObject({ needed: 1_500, remains: 6_500 });
  });

  it('needs once what a job asked the store for and has in its kit; what it asked for beyond that, too', () => {
    const works = [aWorkOrder({ kit })];
    const same = standing({ levels: [aLevel(8_000)], works, requests: [aRequest({ workOrderId: workId })] });
    expect(same).toMatchObject({ needed: 2_000, askedBeyond: 0, remains: 6_000 });
    const more = [aRequest({ quantity: 5_000 }), aRequest({ id: 'r-2' as never, workOrderId: null, quantity: 1_000 })];
    expect(standing({ levels: [aLevel(8_000)], works, requests: more })).toMatchObject({
      askedBeyond: 4_000,
      remains: 2_000,
    });
  });

  it('does not have what is on the way, and says where nothing is sure', () => {
    const sent = {
      binId,
      quantity: 3_000,
      along: '',
      by: asId('arun'),
      at: '2026-11-23T11:00:00.000Z',
      unitPrice: { minor: 1, currency: 'EUR' },
    };
    const travelling = aTransfer({ sent: sent as never });
    expect(standing({ levels: [aLevel(-1_000)], transfers: [travelling] })).toMatchObject({
      onHand: -1_000,
      inTransit: 3_000,
      remains: -1_000,
      wantsCount: true,
    });
  });
});
