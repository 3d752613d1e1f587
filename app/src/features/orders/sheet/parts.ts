import { useMemo } from 'react';
import { shareGiven } from '@oilcan/core/finishing/lifecycle';
import { roundOf, type Stop } from '@oilcan/core/steps/rounds';
import { progressOf, type Progress, type Step } from '@oilcan/core/steps/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { useRows } from '../../../data/store/store';
import type { Notch } from '../../../ui/drawn/dipstick';
import { useIsPrepared } from '../hazards';
import { useOwed } from '../../../data/queries/use-owed';

export type SheetPart = 'prepare' | 'work' | 'wrapUp';

const WORK_FROM = 0.28;
const WORK_TO = 0.74;
/** Where nothing is owed any more; the rest is finishing it. */
const FINISH = 0.96;

/** The three parts of the sheet along its dipstick. */
export const notches: readonly Notch<SheetPart>[] = [
  { part: 'prepare', word: 'Prepare', from: 0, to: WORK_FROM },
  { part: 'work', word: 'Work', from: WORK_FROM, to: WORK_TO },
  { part: 'wrapUp', word: 'Wrap up', from: WORK_TO, to: 1 },
];

/** How full the dipstick is: to the first notch when the hazards are read, then by steps, by what is owed, to the foot when finished. */
export function useLevel(work: WorkOrder): number {
  const steps = useRows('steps', 'workOrder', work.id);
  const stops = useRows('stops', 'workOrder', work.id);
  const isPrepared = useIsPrepared(work);
  const hasSteps = steps.length > 0;
  const done = useMemo(() => (hasSteps ? shareDone(stops, steps) : 1), [hasSteps, stops, steps]);
  // Asked for only where it shows: while steps are open, they say how far it is.
  const isBegun = work.state !== 'ready';
  const standing = useOwed(work, done === 1 && isBegun && isOpen(work.state));
  if (!isOpen(work.state)) return 1;
  if (!isBegun && !isPrepared) return 0;
  if (!isBegun && !hasSteps) return WORK_FROM;
  const given = standing === null ? 0 : shareGiven(standing.owed, standing.demands);
  return WORK_FROM + (WORK_TO - WORK_FROM) * done + (FINISH - WORK_TO) * given;
}

/** Each stop of a round counts the same, however many steps it has, so that the level reaches its mark on the dipstick. */
function shareDone(stops: readonly Stop[], steps: readonly Step[]): number {
  const share = ({ done, of }: Progress): number => (of === 0 ? 0 : done / of);
  if (stops.length === 0) return share(progressOf(steps));
  const standings = roundOf(stops, steps).stops;
  return standings.reduce((sum, { isDone, progress }) => sum + (isDone ? 1 : share(progress)), 0) / standings.length;
}

/** Where each stop of a round ends on the dipstick. */
export function useMarks(work: WorkOrder): readonly number[] {
  const stops = useRows('stops', 'workOrder', work.id);
  return useMemo(
    () => stops.slice(1).map((_, index) => WORK_FROM + ((WORK_TO - WORK_FROM) * (index + 1)) / stops.length),
    [stops],
  );
}
