import { useEffect, useState } from 'react';
import { create } from 'zustand';
import type { AssetId, StopId, WorkOrderId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRows } from '../../../data/store/store';
import { keptChoice } from '../../../ui/state/kept-choice';

/** What of a round is in sight: one of its stops, or what came of it. */
export type InSight = StopId | 'end';

/** So many rounds are remembered; the oldest is forgotten first. */
const MOST_ROUNDS = 20;

const isText = (value: unknown): boolean => typeof value === 'string';

const useKept = keptChoice<readonly (readonly [WorkOrderId, InSight])[]>('oilcan-stops', [], {
  read: (kept) =>
    Array.isArray(kept)
      ? kept.filter((each): each is [WorkOrderId, InSight] => Array.isArray(each) && each.every(isText))
      : [],
  isPersonal: true,
});

/** Where rounds that are drawn were begun, as long as nobody went on from there. */
const useBegun = create<Readonly<Record<WorkOrderId, InSight>>>()(() => ({}));

/** What of a round was gone to last, through a reload too; undefined before the first. */
function useGoneTo(workOrderId: WorkOrderId): InSight | undefined {
  return useKept((state) => state.value.find(([id]) => id === workOrderId)?.[1]);
}

/**
 * What of a round is in sight: what was gone to last, else where it is begun, from which answering takes nobody away.
 *
 * @param next where it would be begun now
 */
export function useInSight(workOrderId: WorkOrderId, next: InSight): InSight {
  const goneTo = useGoneTo(workOrderId);
  const [begun] = useState(next);
  useEffect(() => {
    useBegun.setState({ [workOrderId]: begun });
    return () => useBegun.setState({ [workOrderId]: undefined });
  }, [workOrderId, begun]);
  return goneTo ?? begun;
}

/** The machine of the stop in sight; that of the job where it has no stops, or all of the round is in sight. */
export function useMachineInSight(work: WorkOrder): AssetId {
  const goneTo = useGoneTo(work.id);
  const begun = useBegun((state) => state[work.id]);
  const stops = useRows('stops', 'workOrder', work.id);
  return stops.find(({ id }) => id === (goneTo ?? begun))?.assetId ?? work.assetId;
}

/** Goes to a stop of a round, or to what came of it. */
export function goTo(workOrderId: WorkOrderId, inSight: InSight): void {
  const { value, choose } = useKept.getState();
  const others = value.filter(([id]) => id !== workOrderId).slice(1 - MOST_ROUNDS);
  choose([...others, [workOrderId, inSight]]);
}
