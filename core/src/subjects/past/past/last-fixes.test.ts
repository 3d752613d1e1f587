import { asId, type WorkOrderId } from '../../../kernel/ids';
import { addMinutes } from '../../../kernel/time/instant';
import { aPastJob, assetId, noon } from '../../../testing/builders';
import { lastFixes } from './last-fixes';
import type { PastJob } from './past-job';

const DAY = 24 * 60;
const sealFault = { component: 'Shaft seal', mode: 'ELU', mechanism: '', cause: '', detection: 8, activity: 1 };

/** A repair that came up so many days ago and ended a day later. */
const repair = (days: number, given: Partial<PastJob> = {}): PastJob => {
  const at = addMinutes(noon, -days * DAY);
  return aPastJob({
    id: asId<WorkOrderId>(`w-${days}`),
    title: 'Seal weeps',
    at,
    endedAt: addMinutes(at, DAY),
    ...given,
  });
};
const held = (jobs: readonly PastJob[]): (number | null)[] => lastFixes(jobs, null).map(({ heldDays }) => heldDays);
const like = { assetId, kind: 'corrective' as const, tradeId: 'mechanical', title: 'Seal weeps again' };

describe('what fixed it last time', () => {
  it('is told with how long it held, the newest first, without needing many', () => {
    const fixes = lastFixes([repair(60), repair(15, { notes: ['New seal.'], faults: [sealFault] as never })], like);
    expect(fixes).toMatchObject([
      { text: 'New seal.', activity: 1, heldDays: null },
      { text: '', activity: null, heldDays: 44 },
    ]);
  });

  it('held until it came again, begun or not', () => {
    const open = repair(5, { state: 'ready', endedAt: null, title: 'Seal weeps again' });
    expect(held([repair(60), repair(15), open])).toEqual([9, 44]);
  });

  it('is never the job itself, also once that is finished', () => {
    const itself = repair(5, { title: 'Seal weeps again' });
    const fixes = lastFixes([repair(60), repair(15), itself], { ...like, id: itself.id });
    expect(fixes.map(({ job, heldDays }) => [job.id, heldDays])).toEqual([
      ['w-15', 9],
      ['w-60', 44],
    ]);
  });

  it('is of what is like the job: by its words, or coded as the same fault', () => {
    const coded = (days: number, title: string) => repair(days, { title, reason: '', faults: [sealFault] as never });
    const other = repair(3, { title: 'Motor hums', reason: '' });
    const found = lastFixes([coded(40, 'Seal weeps'), coded(20, 'Oil under the coupling'), other], like);
    expect(found.map(({ job }) => job.id)).toEqual(['w-20', 'w-40']);
    expect(lastFixes([other], like)).toEqual([]);
  });

  it('is of what fails now on a machine, else of what failed last', () => {
    const seals = [repair(60), repair(15)];
    const hum = repair(10, { title: 'Motor hums', reason: '' });
    expect(lastFixes([...seals, hum], null).map(({ job }) => job.title)).toEqual(['Motor hums']);
    const open = repair(1, { state: 'underway', endedAt: null });
    expect(lastFixes([...seals, hum, open], null).map(({ job }) => job.title)).toEqual(['Seal weeps', 'Seal weeps']);
  });

  it('is nothing where nothing was repaired, for planned work, and of what was dropped', () => {
    expect(lastFixes([], null)).toEqual([]);
    expect(lastFixes([repair(9)], { ...like, kind: 'preventive' })).toEqual([]);
    expect(lastFixes([repair(9, { state: 'dropped' })], like)).toEqual([]);
  });

  it('never held for a negative time, and tells of no more than three', () => {
    const before = repair(20);
    const during = repair(20, { id: asId<WorkOrderId>('w-during'), at: addMinutes(before.at, 60) });
    expect(held([before, during])).toEqual([null, null]);
    expect(held([90, 70, 50, 30, 10].map((days) => repair(days)))).toHaveLength(3);
  });
});
