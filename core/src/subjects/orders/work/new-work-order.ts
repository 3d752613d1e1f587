import type { WorkOrder } from './work-order';

/** What is said of a work order when it is made. */
export type WorkToMake = Pick<
  WorkOrder,
  | 'id'
  | 'number'
  | 'siteId'
  | 'assetId'
  | 'placeId'
  | 'kind'
  | 'urgency'
  | 'title'
  | 'reason'
  | 'tradeId'
  | 'dueAt'
  | 'estimateMinutes'
  | 'personIds'
  | 'crewId'
  | 'hazards'
  | 'kit'
  | 'tools'
  | 'createdAt'
  | 'cameFrom'
> &
  Partial<
    Pick<WorkOrder, 'alarmOf' | 'answers' | 'plan' | 'demands' | 'goAhead' | 'plannedOn' | 'raisedBy' | 'wasDoneBefore'>
  >;

/** A work order on which nothing has been done. */
export function newWorkOrder(said: WorkToMake): WorkOrder {
  return {
    ...said,
    state: 'ready',
    previousAssignees: null,
    isolation: [],
    startedAt: null,
    finishedAt: null,
    finishedBy: null,
    closedAt: null,
    held: null,
    handedBack: null,
    lastTransition: null,
  };
}
