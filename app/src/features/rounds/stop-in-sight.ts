import type { StopId, WorkOrderId } from '@oilcan/core/kernel';
import { keptChoice } from '../../ui/kept-choice';

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

/** What of a round was gone to last, through a reload too; undefined before the first. */
export function useInSight(workOrderId: WorkOrderId): InSight | undefined {
  return useKept((state) => state.value.find(([id]) => id === workOrderId)?.[1]);
}

/** Goes to a stop of a round, or to what came of it. */
export function goTo(workOrderId: WorkOrderId, inSight: InSight): void {
  const { value, choose } = useKept.getState();
  const others = value.filter(([id]) => id !== workOrderId).slice(1 - MOST_ROUNDS);
  choose([...others, [workOrderId, inSight]]);
}
