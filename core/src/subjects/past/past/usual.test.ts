import { asId, type AssetId, type PartId, type WorkOrderId } from '../../../kernel/ids';
import { addMinutes } from '../../../kernel/time/instant';
import { aPastJob, assetId, noon } from '../../../testing/builders';
import type { PastJob } from './past-job';
import { isLikelyPart, titleKey, usualFor } from './usual';

const seal = asId<PartId>('seal');
let count = 0;
/** A job that came up so many days ago. */
const job = (days: number, given: Partial<PastJob> = {}): PastJob => {
  count += 1;
  const at = addMinutes(noon, -days * 24 * 60);
  return aPastJob({ id: asId<WorkOrderId>(`w-${count}`), at, endedAt: at, ...given });
};

describe('what a job usually takes', () => {
  const like = { assetId, kind: 'corrective' as const, tradeId: 'mechanical', title: 'Door 12 sticks' };
  const parts = [{ partId: seal, quantity: 2_000 }];

  it('is read from the same job here, then from this asset, then from its class, and says which', () => {
    const same = [60, 90, 120].map((activeMinutes, index) =>
      job(10 + index, { title: `Door ${index} sticks`, activeMinutes, parts: index === 0 ? parts : [] }),
    );
    const others = [1, 2, 3].map((days) => job(days, { title: 'Cabin door sticks', activeMinutes: 30 }));
    const elsewhere = [1, 2, 3].map((days) =>
      job(days, { assetId: asId<AssetId>('x'), title: 'Sticking door', activeMinutes: 15 }),
    );
    expect(usualFor(like, [...same, ...others], elsewhere)).toMatchObject({
      from: 'same job',
      minutes: { median: 90, p80: 108 },
      parts: [{ partId: seal, jobs: 1, quantity: 2_000 }],
    });
    expect(usualFor(like, others, elsewhere)).toMatchObject({ from: 'like it here', minutes: { median: 30 } });
    expect(usualFor(like, others.slice(1), elsewhere)).toMatchObject({
      from: 'like it on its class',
      minutes: { median: 15 },
    });
    expect(usualFor(like, [], elsewhere.slice(1))).toBeNull();
  });

  it('leaves out what is open, dropped, of another kind or trade, and has no time where none was recorded', () => {
    const out = [
      job(1, { endedAt: null }),
      job(2, { state: 'dropped' }),
      job(3, { kind: 'inspection' }),
      job(4, { tradeId: 'electrical' }),
    ];
    expect(usualFor(like, out, [])).toBeNull();
    const timeless = [1, 2, 3].map((days) => job(days, { title: 'Door sticks', activeMinutes: 0 }));
    expect(usualFor(like, timeless, [])?.minutes).toBeNull();
  });

  it('gives a job the parts along that more such jobs took than not', () => {
    const took = (...partIds: string[]) => partIds.map((id) => ({ partId: asId<PartId>(id), quantity: 1_000 }));
    const jobs = [took('seal', 'oil'), took('seal', 'rag'), took('seal', 'oil'), took()].map((parts, days) =>
      job(days + 1, { title: 'Drive hums', parts }),
    );
    const usual = usualFor({ ...like, title: 'Drive hums' }, jobs, []);
    expect(
      usual === null ? [] : usual.parts.filter((part) => isLikelyPart(part, usual)).map(({ partId }) => partId),
    ).toEqual(['seal']);
  });

  it.each([
    [
      'Foundation cracked at the anchor bolts',
      ['Service brake lining at its limit', 'Brake linings worn', 'Uneven brake lining'],
    ],
    [
      'Hot oil in the sump',
      ['Gearbox output seal weeping', 'Oil under the output coupling', 'Output seal leaks again'],
    ],
    ['Squeaks when it starts', ['Conveyor tyre 5 flat', 'Tyre 8 loses air', 'Tyre 12 worn to the cord']],
  ])('says nothing of “%s”, whatever such a machine often took', (title, titles) => {
    const jobs = titles.map((each, days) => job(days + 1, { title: each, reason: '', parts }));
    expect(usualFor({ ...like, title }, jobs, jobs)).toBeNull();
  });

  it('tells services by what they measure: that of 250 h is not that of 2000 h', () => {
    const services = [
      ...[1, 2, 3].map((days) => job(days, { title: 'Service 250 h', activeMinutes: 60 })),
      ...[4, 5, 6, 7].map((days) => job(days, { title: 'Service 2,000 h', activeMinutes: 480 })),
    ];
    const minutesOf = (title: string) => usualFor({ ...like, title }, services, [])?.minutes?.median ?? null;
    expect([minutesOf('Service 250 h'), minutesOf('250h service'), minutesOf('Service 2000 h')]).toEqual([60, 60, 480]);
    expect([minutesOf('Service 50 h'), minutesOf('Service')]).toEqual([null, null]);
  });

  it('takes titles that differ in numbers for the same', () => {
    expect(titleKey('Cabin 12:  door sticks')).toBe(titleKey('cabin 4: door sticks'));
  });
});
