import { acknowledgementId, coversHazards } from '@oilcan/core/orders/hazards';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { usePhone, useRow } from '../../../data/store/store';

/** Whether I have acknowledged every hazard as it now stands. */
export function useIsPrepared(work: WorkOrder): boolean {
  const me = usePhone((state) => state.person?.id);
  const acknowledgement = useRow('acknowledgements', me === undefined ? null : acknowledgementId(work.id, me));
  return coversHazards(acknowledgement, work.hazards);
}
