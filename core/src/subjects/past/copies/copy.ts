import type { FileId, PersonId, SiteId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/** The record of a job as it was sent to somebody by mail. */
export interface RecordCopy {
  readonly id: string;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  /** An address for mail (RFC 5321). */
  readonly to: string;
  /** What is said with it; empty for nothing. */
  readonly line: string;
  /** The record as PDF, as its sender saw it. */
  readonly fileId: FileId;
  readonly by: PersonId;
  readonly at: Instant;
}
