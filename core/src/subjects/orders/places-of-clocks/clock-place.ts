import type { PersonId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/** Whether somebody agreed that it is noted where they start their clock; without a row they were not asked yet. */
export interface PlaceAgreement {
  /** The person's. */
  readonly id: PersonId;
  readonly personId: PersonId;
  readonly isAgreed: boolean;
  readonly at: Instant;
}

/** Where somebody started their clock. Seen by nobody but them. */
export interface ClockPlace {
  readonly id: string;
  readonly personId: PersonId;
  readonly workOrderId: WorkOrderId;
  readonly at: Instant;
  /** WGS 84, in degrees. */
  readonly latitude: number;
  readonly longitude: number;
  /** Within so many meters. */
  readonly accuracyMeters: number;
}
