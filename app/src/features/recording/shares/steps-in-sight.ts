import { useMemo } from 'react';
import type { StepId } from '@oilcan/core/kernel';
import { create } from 'zustand';
import { sharesOfSteps } from '@oilcan/core/recording/shares';
import type { Step } from '@oilcan/core/steps/steps';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRows } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { whoseWords } from './share-words';

/** Of which jobs all steps are shown, by somebody who has a share of them. */
const useShowsAll = create<Readonly<Record<string, boolean>>>(() => ({}));

/** Whose share each step is in, in words; without those in none. */
export function useHolders(work: WorkOrder, steps: readonly Step[]): ReadonlyMap<string, string> {
  const me = useMe();
  const shares = useRows('shares', 'workOrder', work.id);
  return useMemo(() => {
    const found = [...sharesOfSteps(shares, steps)];
    return new Map(found.map(([stepId, share]) => [stepId as string, whoseWords(share, me)]));
  }, [shares, steps, me]);
}

/** The steps that are shown, and how to show others. */
export interface StepsInSight {
  /** By their ids; undefined for all. */
  readonly only: ReadonlySet<StepId> | undefined;
  /** Whether there is a choice: one has a share, and there is more than that. */
  readonly canChoose: boolean;
  readonly isOwn: boolean;
  readonly choose: (isOwn: boolean) => void;
}

/** Who has a share sees the steps of it first; all of them on a press. */
export function useStepsInSight(work: WorkOrder, steps: readonly Step[]): StepsInSight {
  const me = useMe();
  const shares = useRows('shares', 'workOrder', work.id);
  const own = useMemo(() => {
    const inShare = sharesOfSteps(shares, steps);
    return new Set(steps.flatMap(({ id }) => (inShare.get(id)?.personId === me ? [id] : [])));
  }, [shares, steps, me]);
  const showsAll = useShowsAll((state) => state[work.id] === true);
  const canChoose = own.size > 0 && own.size < steps.length;
  const isOwn = canChoose && !showsAll;
  return {
    only: isOwn ? own : undefined,
    canChoose,
    isOwn,
    choose: (wantsOwn) => useShowsAll.setState({ [work.id]: !wantsOwn }),
  };
}
