import { createContext, useCallback, useEffect, useRef } from 'react';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useNotice } from '../../../ui/state/use-notice';
import { machineMillis } from '../../../data/browser/machine-clock';
import { useIsPrepared } from './use-is-prepared';

/** Leads to the hazards of the job that is open, and does what was wanted once they are acknowledged. */
export type HazardsFirst = (then: () => void) => void;

/** Where no job is open there are none to be read, and what is wanted is left. */
export const HazardsFirstOf = createContext<HazardsFirst>(() => undefined);

/** Whoever acknowledges the hazards later than this had something else in mind. */
const LONGEST_MILLISECONDS = 120_000;

/**
 * Of the sheet of a job.
 *
 * @param goThere brings its hazards into sight
 */
export function useHazardsFirst(work: WorkOrder, goThere: () => void): HazardsFirst {
  const isPrepared = useIsPrepared(work);
  const say = useNotice((state) => state.say);
  const wanted = useRef<{ readonly then: () => void; readonly at: number } | null>(null);
  useEffect(() => {
    const before = wanted.current;
    if (!isPrepared || before === null) return;
    wanted.current = null;
    if (machineMillis() - before.at <= LONGEST_MILLISECONDS) before.then();
  }, [isPrepared]);
  return useCallback(
    (then) => {
      wanted.current = { then, at: machineMillis() };
      goThere();
      say('Read and acknowledge the hazards first; then it goes on from here.');
    },
    [goThere, say],
  );
}
