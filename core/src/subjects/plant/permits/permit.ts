import type { PersonId, SiteId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';

/** Dangerous work that is only done with leave in writing (permit to work; the kinds are common practice). */
export const permitKinds = ['hotWork', 'height', 'confinedSpace', 'electrical', 'lifting', 'excavation'] as const;
export type PermitKind = (typeof permitKinds)[number];

/** Leave in writing for one work order, for a time and under conditions. A work order may need several. */
export interface Permit {
  readonly id: string;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  readonly kind: PermitKind;
  /** What has to be kept to while it holds; empty for nothing special. */
  readonly conditions: string;
  /** Null while it is needed and nobody has given it. */
  readonly issued: {
    /** As it is written on the paper that hangs at the place of work. */
    readonly number: string;
    readonly by: PersonId;
    readonly from: Instant;
    readonly until: Instant;
  } | null;
}

export type PermitStanding = 'missing' | 'to come' | 'valid' | 'over';

/** Whether a permit holds at a moment; it holds from its beginning up to, and not at, its end. */
export function permitStanding({ issued }: Pick<Permit, 'issued'>, now: Instant): PermitStanding {
  if (issued === null) return 'missing';
  if (now < issued.from) return 'to come';
  return now < issued.until ? 'valid' : 'over';
}
