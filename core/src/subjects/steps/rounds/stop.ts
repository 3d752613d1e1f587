import type { AssetId, PersonId, SiteId, StopId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/** One machine on a round. */
export interface Stop {
  readonly id: StopId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  readonly assetId: AssetId;
  /** Orders the stops as they are walked. */
  readonly position: number;
  /** Why it is left out of this round; null where it is not. */
  readonly leftOut: { readonly reason: string; readonly by: PersonId; readonly at: Instant } | null;
}

/** The stops as they are walked. */
export function inWalkingOrder(stops: readonly Stop[]): Stop[] {
  return [...stops].sort((a, b) => a.position - b.position || (a.id < b.id ? -1 : 1));
}
