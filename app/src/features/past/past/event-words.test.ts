import { addMinutes, asId, type PartId, type PointId } from '@oilcan/core/kernel';
import type { PastEvent } from '@oilcan/core/past/past';
import { aPart, aPastJob, aPoint, noon, partId, pointId, put, smallWorks } from '@oilcan/core/testing';
import { TestWorks } from '../../../testing/works';
import { eventLine, jobFacts } from './event-words';

const fault = { component: 'Shaft seal', mode: 'ELU', mechanism: '', cause: '', detection: 8, activity: 1 } as const;
const stoppage = { from: noon, to: addMinutes(noon, 200), extent: 'full', isPlanned: false } as const;
const job = aPastJob({
  activeMinutes: 95,
  faults: [fault],
  parts: [{ partId, quantity: 2_000 }],
  stoppages: [stoppage],
});
const line = (event: object): string => eventLine({ id: 'x', at: noon, job, ...event } as PastEvent);

let works: TestWorks;
beforeAll(async () => {
  works = await TestWorks.open([...smallWorks(), put('parts', aPart()), put('points', aPoint())]);
});
afterAll(() => works.close());

describe('an event of the past', () => {
  it.each([
    ['work', { kind: 'work' }, 'Seal weeping'],
    ['a fault', { kind: 'fault', kept: fault }, 'Shaft seal: oil, water or air leaks out · ELU; replaced'],
    [
      'a fault of no part',
      { kind: 'fault', kept: { ...fault, component: '' } },
      'Oil, water or air leaks out · ELU; replaced',
    ],
    ['a part', { kind: 'part', kept: { partId, quantity: 2_000 } }, '2 pcs Seal'],
    ['a part that is gone', { kind: 'part', kept: { partId: asId<PartId>('gone'), quantity: 1_000 } }, '1 gone'],
    ['a stoppage', { kind: 'stoppage', kept: stoppage }, 'Stood still for 3 h'],
    ['one that lasts', { kind: 'stoppage', kept: { ...stoppage, to: null } }, 'Stands still'],
    [
      'one that was planned and not full',
      { kind: 'stoppage', kept: { ...stoppage, extent: 'reduced', isPlanned: true } },
      'Ran, not fully, planned for 3 h',
    ],
    ['a reading', { kind: 'reading', kept: { pointId, value: 61.5, level: 'normal' } }, 'Oil temperature: 61.5 °C'],
    [
      'one beyond',
      { kind: 'reading', kept: { pointId, value: 90, level: 'alarm' } },
      'Oil temperature: 90 °C, beyond alarm',
    ],
    [
      'one of a point that is gone',
      { kind: 'reading', kept: { pointId: 'p' as PointId, value: 1, level: 'normal' } },
      'p: 1 ',
    ],
    ['a note', { kind: 'note', kept: 'Lip was worn' }, '“Lip was worn”'],
  ])('that is %s is said in a line', (_, event, words) => {
    expect(line(event)).toBe(words);
  });

  it('that is work has its fault, its parts, its time and its standstill beside it', () => {
    expect(jobFacts(job).map((fact) => fact.replace(/\s/g, ' '))).toEqual([
      'Shaft seal: oil, water or air leaks out · ELU; replaced',
      '2 pcs Seal',
      'Corrective · 1 h 35 worked · stood still for 3 h',
    ]);
  });
});
