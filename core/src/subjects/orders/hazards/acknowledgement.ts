import type { PersonId, SiteId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { couldKnow, type Seen } from '../../../operations/known';
import type { Hazard } from '../work/work-order';

/** That a person has read the hazards of a work order. */
export interface Acknowledgement {
  /** `workOrderId@personId`. */
  readonly id: string;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  readonly personId: PersonId;
  readonly hazardIds: readonly string[];
  readonly at: Instant;
}

export function acknowledgementId(workOrderId: WorkOrderId, personId: PersonId): string {
  return `${workOrderId}@${personId}`;
}

/** The hazards of which the person of an operation could know. */
export function hazardsKnownTo(hazards: readonly Hazard[], seen: Seen): readonly Hazard[] {
  return hazards.filter(({ addedAt, revision }) => {
    if (addedAt === undefined) return true;
    return couldKnow({ since: addedAt, ...(revision === undefined ? {} : { revision }) }, seen);
  });
}

/** Whether every hazard was in the list that the person acknowledged. */
export function coversHazards(
  acknowledgement: Acknowledgement | undefined,
  hazards: readonly { readonly id: string }[],
): boolean {
  return hazards.every((hazard) => acknowledgement?.hazardIds.includes(hazard.id) ?? false);
}
