import type { Instant } from '../../../kernel/time/instant';
import { addDays, localDate, type LocalDay } from '../../../kernel/time/local-day';
import type { Zone } from '../../../kernel/time/zone';
import { isOpen } from '../../orders/work/states';
import type { WorkOrder } from '../../orders/work/work-order';

/** Of which days a store wants to know what work needs: today with all that is late or underway, tomorrow, or the seven days from today. */
export const needSpans = ['today', 'tomorrow', 'week'] as const;
export type NeedSpan = (typeof needSpans)[number];

const DAYS_IN_WEEK = 7;

/** The day on which a job is to be done: for which it is planned, else when it is due; null where nobody said. */
function dayOf({ plannedOn, dueAt }: WorkOrder, zone: Zone): LocalDay | null {
  return plannedOn ?? (dueAt === null ? null : localDate(dueAt, zone));
}

/** Open work that needs its parts within these days, on the calendar of a zone. What is put off beyond them is not in it. */
export function neededWithin(works: readonly WorkOrder[], span: NeedSpan, now: Instant, zone: Zone): WorkOrder[] {
  const today = localDate(now, zone);
  const tomorrow = addDays(today, 1);
  const last = span === 'today' ? today : span === 'tomorrow' ? tomorrow : addDays(today, DAYS_IN_WEEK - 1);
  return works.filter((work) => {
    if (!isOpen(work.state)) return false;
    const until = work.putOff?.until;
    const isPutOff = until !== undefined && until > today;
    const day = isPutOff ? until : dayOf(work, zone);
    const isBegun = work.state === 'underway';
    if (span === 'tomorrow') return day === tomorrow;
    return isBegun || (day !== null && day <= last);
  });
}
