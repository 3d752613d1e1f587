import type { PersonId, SiteId, WorkOrderId } from '../ids/ids';
import { minutesBetween, type Instant } from '../time/instant';
import type { Hazard } from './work-order';

/** Somebody's running clock. A person has at most one, so the person's id is its id. */
export interface Clock {
  readonly id: PersonId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  readonly startedAt: Instant;
}

/** Whole minutes that a clock has run; what ran at all counts as one. */
export function clockMinutes(startedAt: Instant, until: Instant): number {
  return Math.max(1, minutesBetween(startedAt, until));
}

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

/** The hazards of which a person could know who last heard of others at this moment. */
export function hazardsKnownAt(hazards: readonly Hazard[], knew: Instant): readonly Hazard[] {
  return hazards.filter(({ addedAt }) => addedAt === undefined || addedAt < knew);
}

/** Whether every hazard was in the list that the person acknowledged. */
export function coversHazards(
  acknowledgement: Acknowledgement | undefined,
  hazards: readonly { readonly id: string }[],
): boolean {
  return hazards.every((hazard) => acknowledgement?.hazardIds.includes(hazard.id) ?? false);
}
