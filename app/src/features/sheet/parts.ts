import { progressOf } from '@oilcan/core/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { useRows } from '../../data/store';
import type { Notch } from '../../ui/dipstick';
import { useIsPrepared } from '../hazards';

export type SheetPart = 'prepare' | 'work' | 'wrapUp';

/** The three parts of the sheet along its dipstick. */
export const notches: readonly Notch<SheetPart>[] = [
  { part: 'prepare', word: 'Prepare', from: 0, to: 0.28 },
  { part: 'work', word: 'Work', from: 0.28, to: 0.74 },
  { part: 'wrapUp', word: 'Wrap up', from: 0.74, to: 1 },
];

/** How full the dipstick is: to the first notch when the hazards are read, then by steps, to the foot when finished. */
export function useLevel(work: WorkOrder): number {
  const steps = useRows('steps', 'workOrder', work.id);
  const isPrepared = useIsPrepared(work);
  if (!isOpen(work.state)) return 1;
  if (!isPrepared && work.state === 'ready') return 0;
  const { done, of } = progressOf(steps);
  return 0.28 + 0.46 * (of === 0 ? 0 : done / of);
}
