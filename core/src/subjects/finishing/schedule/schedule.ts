import type { Instant } from '../../../kernel/time/instant';
import { localDate, type LocalDay } from '../../../kernel/time/local-day';
import type { Zone } from '../../../kernel/time/zone';
import type { WorkOrder } from '../../orders/work/work-order';

/** Whether work is put off still. */
export function isPutOff(work: Pick<WorkOrder, 'putOff'>, now: Instant, zone: Zone): boolean {
  return isPutOffOn(work, localDate(now, zone));
}

/** Whether work is put off beyond a day. */
export function isPutOffOn({ putOff }: Pick<WorkOrder, 'putOff'>, day: LocalDay): boolean {
  return putOff != null && day < putOff.until;
}
