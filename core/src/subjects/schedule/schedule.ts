import type { Instant } from '../../kernel/time/instant';
import { beginOfDay } from '../../kernel/time/local-day';
import type { Zone } from '../../kernel/time/zone';
import type { WorkOrder } from '../work/work-order';

/** Whether work is put off still. */
export function isPutOff(work: Pick<WorkOrder, 'putOff'>, now: Instant, zone: Zone): boolean {
  const until = work.putOff?.until;
  return until !== undefined && now < beginOfDay(until, zone);
}
