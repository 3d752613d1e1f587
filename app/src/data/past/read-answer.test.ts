import {
  addMinutes,
  asId,
  type AssetId,
  type EntryId,
  type PlaceId,
  type PointId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { PastJob } from '@oilcan/core/past/past';
import { aPastJob, aPoint, aWorkOrder, noon, anEntry } from '@oilcan/core/testing';
import { readAnswer } from './read-answer';

const DAY = 24 * 60;
const past = (id: string, days: number, given: Partial<PastJob> = {}): PastJob => {
  const at = addMinutes(noon, -days * DAY);
  return aPastJob({ id: asId<WorkOrderId>(id), at, endedAt: at, ...given });
};
const read = (jobs: readonly PastJob[], given: Partial<Parameters<typeof readAnswer>[0]> = {}) =>
  readAnswer({
    text: JSON.stringify({
      recordsSince: addMinutes(noon, -1_000 * DAY),
      cutAt: null,
      asOf: noon,
      jobs,
      ofClass: ['c-1', 'c-2', 'c-3'].map((id) => past(id, 10, { assetId: asId<AssetId>('other') })),
    }),
    open: [],
    inServiceSince: null,
    like: null,
    points: [],
    now: noon,
    ...given,
  });

describe('a past as it came', () => {
  it('gets the open work of this phone, with what is recorded on it here', () => {
    const work = aWorkOrder({ id: asId<WorkOrderId>('w-1'), createdAt: addMinutes(noon, -60) });
    const note = anEntry({ kind: 'note', text: 'Made without signal' }, { workOrderId: work.id });
    const { jobs } = read([past('w-1', 0), past('w-0', 50)], {
      open: [{ work, entries: [note], machines: [], wanted: [work.assetId] }],
    });
    expect(jobs.map(({ id, notes }) => [id, notes])).toEqual([
      ['w-1', ['Made without signal']],
      ['w-0', []],
    ]);
  });

  it('of a machine at a stop of an open round gets what was recorded there, and no job', () => {
    const pump = { id: asId<AssetId>('pump'), placeId: asId<PlaceId>('hall') };
    const round = aWorkOrder({ id: asId<WorkOrderId>('round') });
    const read75 = anEntry(
      { kind: 'reading', pointId: aPoint().id, value: 75, level: 'normal' },
      { workOrderId: round.id, assetId: pump.id },
    );
    const ofLift = anEntry({ kind: 'note', text: 'Wind' }, { id: asId<EntryId>('wind'), workOrderId: round.id });
    const open = [{ work: round, entries: [read75, ofLift], machines: [pump], wanted: [pump.id] }];
    expect(read([], { open }).jobs).toEqual([
      expect.objectContaining({ id: 'round', assetId: 'pump', placeId: 'hall', atStop: true, notes: [] }),
    ]);
    expect(read([], { open }).jobs[0]?.readings).toHaveLength(1);
  });

  it('is watched from when the machine went into service, were it only today', () => {
    expect(read([past('w-0', 50)], { inServiceSince: '2026-08-15' }).findings.window.from).toBe(
      '2026-08-15T00:00:00.000Z',
    );
    const today = read([], { inServiceSince: '2026-11-23', now: '2026-11-22T22:00:00.000Z' as typeof noon });
    expect(today.findings.window).toEqual({ from: '2026-11-22T21:59:00.000Z', to: '2026-11-22T22:00:00.000Z' });
  });

  it('says what is usual only for a job, here first and of the class where that is too little', () => {
    expect(read([]).usual).toBeNull();
    const like = aWorkOrder();
    expect(read([past('w-0', 5)], { like }).usual?.from).toBe('like it on its class');
    expect(read([past('1', 5), past('2', 6), past('3', 7)], { like }).usual?.from).toBe('same job');
  });

  it('says of each measuring point whether it is changing, and of no meter', () => {
    const point = aPoint({ limits: { alarmLow: null, alertLow: null, alertHigh: 60, alarmHigh: 75 } });
    const meter = aPoint({ id: asId<PointId>('hours'), isMeter: true });
    const jobs = Array.from({ length: 30 }, (_, index) => {
      const at = addMinutes(noon, -(30 - index) * DAY);
      const readings = [point, meter].map(({ id }) => ({
        pointId: id,
        at,
        value: 20 + index,
        level: 'normal' as const,
      }));
      return past(`w-${index}`, 30 - index, { readings });
    });
    const { changes } = read(jobs, { points: [point, meter] });
    expect(Object.keys(changes)).toEqual([point.id]);
    expect(changes[point.id]?.trend?.perDay).toBeCloseTo(1, 6);
    expect(changes[point.id]?.reaching.map(({ limit, days }) => [limit, Math.round(days)])).toEqual([
      ['alert', 11],
      ['alarm', 26],
    ]);
    expect(read(jobs).changes).toEqual({});
  });

  it('that is damaged is not read', () => {
    expect(() =>
      readAnswer({ text: '{"jobs":', open: [], inServiceSince: null, like: null, points: [], now: noon }),
    ).toThrow();
  });
});
