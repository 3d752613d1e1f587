import { acknowledgementId, coversHazards } from '@oilcan/core/hazards';
import type { PersonId } from '@oilcan/core/kernel';
import { progressOf } from '@oilcan/core/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { usePhone, useRow, useRows } from '../../data/store';
import type { Notch } from '../../ui/dipstick';

export type SheetPart = 'prepare' | 'work' | 'wrapUp';

/** The three parts of the sheet along its dipstick. */
export const notches: readonly Notch<SheetPart>[] = [
  { part: 'prepare', word: 'Prepare', from: 0, to: 0.28 },
  { part: 'work', word: 'Work', from: 0.28, to: 0.74 },
  { part: 'wrapUp', word: 'Wrap up', from: 0.74, to: 1 },
];

/** Names a step's element in the page, so that it can be brought into sight. */
export const stepElement = (stepId: string): string => `step-${stepId}`;

/** Names the element with the locks that are still on. */
export const LOCKS_ELEMENT = 'locks-to-take-off';

/** How full the dipstick is: to the first notch when the hazards are read, then by steps, to the foot when finished. */
export function useLevel(work: WorkOrder): number {
  const steps = useRows('steps', 'workOrder', work.id);
  const isPrepared = useIsPrepared(work);
  if (!isOpen(work.state)) return 1;
  if (!isPrepared && work.state === 'ready') return 0;
  const { done, of } = progressOf(steps);
  return 0.28 + 0.46 * (of === 0 ? 0 : done / of);
}

/** Whether I have acknowledged every hazard as it now stands. */
export function useIsPrepared(work: WorkOrder): boolean {
  const me = usePhone((state) => state.person?.id);
  const acknowledgement = useRow('acknowledgements', me === undefined ? null : acknowledgementId(work.id, me));
  return coversHazards(acknowledgement, work.hazards);
}

/** The person on whose phone this is; screens of the sheet are only drawn for somebody. */
export function useMe(): PersonId {
  const me = usePhone((state) => state.person?.id);
  if (me === undefined) throw new Error('Nobody is signed in.');
  return me;
}
