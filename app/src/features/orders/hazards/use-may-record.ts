import { onlyWrites } from '@oilcan/core/orders/hazards';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { usePhone, useRow } from '../../../data/store/store';
import { useIsPrepared } from './use-is-prepared';

/** Whether I can only be writing down what others did: a lead who does not have the work. */
export function useOnlyWrites(work: WorkOrder): boolean {
  const person = usePhone((state) => state.person);
  const crew = useRow('crews', work.crewId ?? undefined);
  return person !== null && onlyWrites(work, person, crew);
}

/** Whether I may record what was done on it: I have read the hazards, or only write down what others did. */
export function useMayRecord(work: WorkOrder): boolean {
  const isPrepared = useIsPrepared(work);
  return useOnlyWrites(work) || isPrepared;
}
