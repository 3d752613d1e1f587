import type { OtherTimeId, PersonId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/** What time on no job is spent on. */
export const otherTimeReasons = ['meeting', 'drive', 'training', 'tidying', 'waiting', 'other'] as const;
export type OtherTimeReason = (typeof otherTimeReasons)[number];

/** Time of somebody on no work order. */
export interface OtherTime {
  readonly id: OtherTimeId;
  readonly siteId: SiteId;
  readonly personId: PersonId;
  readonly startedAt: Instant;
  /** Whole minutes. */
  readonly minutes: number;
  readonly reason: OtherTimeReason;
  /** What it was about; may be empty. */
  readonly words: string;
}
