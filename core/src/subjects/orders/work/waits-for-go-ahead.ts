import type { WorkOrder } from './work-order';

/** Whether work waits for a lead to let it start. What became urgent since, or has been started by a lead, waits no more. */
export function waitsForGoAhead(work: Pick<WorkOrder, 'goAhead' | 'urgency' | 'state'>): boolean {
  return work.goAhead?.givenBy === null && work.urgency !== 'now' && work.state === 'ready';
}
