import { performedAt, type WorkOrder } from '../../orders/work/work-order';
import type { Instant } from '../../../kernel/time/instant';

/** What of a work order is told to whoever looks for it: enough to know it by, not to work on it. */
export interface FoundWork extends Pick<
  WorkOrder,
  | 'id'
  | 'number'
  | 'siteId'
  | 'assetId'
  | 'placeId'
  | 'kind'
  | 'urgency'
  | 'state'
  | 'title'
  | 'tradeId'
  | 'dueAt'
  | 'personIds'
  | 'crewId'
  | 'handedBack'
> {
  /** When it was done; null while it is open. */
  readonly endedAt: Instant | null;
}

export function foundWork(work: WorkOrder): FoundWork {
  const { id, number, siteId, assetId, placeId, kind, urgency, state, title, tradeId, dueAt, personIds, crewId } = work;
  const named = {
    id,
    number,
    siteId,
    assetId,
    placeId,
    kind,
    urgency,
    state,
    title,
    tradeId,
    dueAt,
    personIds,
    crewId,
  };
  return { ...named, handedBack: work.handedBack, endedAt: performedAt(work) };
}
