import { asId, type AssetId, type PointId } from '../../../kernel/ids';
import { ann, anAsset, aPoint, aStop, pointId, put, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';
import { usedUpTo } from './meter';

const onWork = { workOrderId: workId };

describe('a reading that is worked out', () => {
  const limits = { alarmLow: null, alertLow: null, alertHigh: 1, alarmHigh: 3 };
  const derive = (works: Works, values: Readonly<Record<string, number>>, id: PointId = pointId) => {
    const raw = Object.entries(values).map(([key, value]) => ({ key, value }));
    return works.do('reading.derive', { ...onWork, pointId: id, raw });
  };
  const phases = { first: 460, second: 467, third: 450 };

  it('keeps what it was made of, and its level by the point and the standard', async () => {
    const works = new Works();
    works.records.change([put('points', aPoint({ limits, unit: '%', derived: { kind: 'unbalance', unit: 'V' } }))]);
    expect(codeOf(await derive(works, phases))).toBe('accepted');
    const [entry] = currentOf(works.entries, 'reading');
    expect([entry?.content.value.toFixed(2), entry?.content.level, entry?.content.figure?.raw.length]).toEqual([
      '1.96',
      'alert',
      3,
    ]);
    expect(works.records.peek('points', pointId)?.latest.at(-1)?.value).toBeCloseTo(1.96, 2);
  });

  it('is refused where the values do not go together, one is missing, or the point is read off itself', async () => {
    const works = new Works();
    expect(codeOf(await derive(works, phases))).toBe('point_not_derived');
    works.records.change([put('points', aPoint({ derived: { kind: 'filterDrop' } }))]);
    expect(codeOf(await derive(works, { before: 3, after: 4 }))).toBe('figure_not_workable');
    expect(codeOf(await derive(works, { before: 3 }))).toBe('figure_not_workable');
    expect(codeOf(await derive(works, { before: 1e99, after: 0 }))).toBe('reading_out_of_range');
    expect(codeOf(await derive(works, phases, asId<PointId>('none')))).toBe('not_found');
  });
});

describe('a reading in another unit', () => {
  it('is kept in that of the point, with what was typed; one of another quantity is refused', async () => {
    const works = new Works();
    const read = (value: number, unit: string) => works.do('reading.add', { ...onWork, pointId, value, unit });
    expect(codeOf(await read(147.2, '°F'))).toBe('accepted');
    expect(codeOf(await read(64, '°C'))).toBe('accepted');
    expect(codeOf(await read(64, 'bar'))).toBe('unit_of_another_quantity');
    expect(codeOf(await read(64, ''))).toBe('unit_of_another_quantity');
    expect(currentOf(works.entries, 'reading').map(({ content }) => [content.value, content.typed])).toEqual([
      [64, { value: 147.2, unit: '°F' }],
      [64, undefined],
    ]);
  });
});

describe('a meter that was replaced', () => {
  it('goes on from what the new one shows, and is no other point', async () => {
    const works = new Works();
    const latest = [{ at: minutesLater(-60), value: 400 }];
    works.records.change([put('points', aPoint({ isMeter: true, latest }))]);
    const replace = (value: number) => works.do('meter.replace', { ...onWork, pointId, value, newValue: 5 });
    expect(codeOf(await replace(399))).toBe('meter_runs_back');
    expect(codeOf(await replace(420))).toBe('accepted');
    const read = (value: number, minutes: number) =>
      works.do('reading.add', { ...onWork, pointId, value }, ann, minutesLater(minutes));
    expect(codeOf(await read(4, 1))).toBe('meter_runs_back');
    expect(codeOf(await read(9, 2))).toBe('accepted');
    expect(usedUpTo(works.records.peek('points', pointId)?.latest ?? [], undefined)).toEqual([0, 20, 24]);
    works.records.change([put('points', aPoint())]);
    expect(codeOf(await replace(420))).toBe('point_no_meter');
  });

  it('or rolled over goes on from zero', async () => {
    const works = new Works();
    const latest = [{ at: minutesLater(-60), value: 99_990 }];
    works.records.change([put('points', aPoint({ isMeter: true, latest, rollsOverAt: 100_000 }))]);
    const read = (value: number) => works.do('reading.add', { ...onWork, pointId, value });
    expect(codeOf(await read(60_000))).toBe('meter_runs_back');
    expect(codeOf(await read(8))).toBe('accepted');
  });
});

describe('a reading on a round', () => {
  it('is taken at the machines of its stops, and at no other', async () => {
    const works = new Works();
    const [atStop, elsewhere] = [asId<AssetId>('at-stop'), asId<AssetId>('elsewhere')];
    works.records.change([
      put('assets', anAsset({ id: atStop })),
      put('assets', anAsset({ id: elsewhere })),
      put('stops', aStop({ assetId: atStop })),
      put('points', aPoint({ id: asId<PointId>('p1'), assetId: atStop })),
      put('points', aPoint({ id: asId<PointId>('p2'), assetId: elsewhere })),
    ]);
    const read = (id: string) => works.do('reading.add', { ...onWork, pointId: asId<PointId>(id), value: 5 });
    expect([codeOf(await read('p1')), codeOf(await read('p2'))]).toEqual(['accepted', 'point_of_other_machine']);
  });
});
