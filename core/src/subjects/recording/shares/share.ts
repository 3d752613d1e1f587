import type { AssetId, PersonId, ShareId, SiteId, StepId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Crew } from '../../plant/people/people';
import { isAssignedTo, type Given } from '../../orders/work/assignment';
import type { WorkOrder } from '../../orders/work/work-order';
import { inForce, progressAmong } from '../../steps/steps/branches';
import type { Progress, Step } from '../../steps/steps/step';

/** Steps of a work order that are somebody's own, with trade, machine and planned time. */
export interface Share {
  readonly id: ShareId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  /** Whose it is now. */
  readonly personId: PersonId;
  /** Whose it was before, the first holder first, and until when. */
  readonly earlier: readonly { readonly personId: PersonId; readonly until: Instant }[];
  readonly tradeId: string;
  readonly assetId: AssetId;
  readonly plannedMinutes: number;
  /** What is part of one of these belongs to the share too. A step is in one share at most. */
  readonly stepIds: readonly StepId[];
  readonly madeBy: PersonId;
  readonly madeAt: Instant;
}

/** Shares in the order in which they were made. */
export function inOrderMade(shares: readonly Share[]): Share[] {
  return [...shares].sort((a, b) => (a.madeAt < b.madeAt ? -1 : a.madeAt > b.madeAt ? 1 : a.id < b.id ? -1 : 1));
}

/** In which share each step is: where it was put itself, else where the step is that it is part of. Others are left out. */
export function sharesOfSteps(shares: readonly Share[], steps: readonly Step[]): ReadonlyMap<StepId, Share> {
  if (shares.length === 0) return new Map();
  const byId = new Map(steps.map((step) => [step.id, step]));
  const put = new Map(shares.flatMap((share) => share.stepIds.map((id) => [id, share] as const)));
  const found = new Map<StepId, Share>();
  for (const step of steps) {
    const seen = new Set<StepId>();
    for (
      let at: Step | undefined = step;
      at !== undefined && !seen.has(at.id);
      at = at.parentId === null ? undefined : byId.get(at.parentId)
    ) {
      seen.add(at.id);
      const share = put.get(at.id);
      if (share === undefined) continue;
      found.set(step.id, share);
      break;
    }
  }
  return found;
}

/** How far each share is, by its id: of its steps those that are asked count, as in the whole job. */
export function progressOfShares(shares: readonly Share[], steps: readonly Step[]): ReadonlyMap<ShareId, Progress> {
  const inShare = sharesOfSteps(shares, steps);
  const asked = inForce(steps);
  return new Map(
    shares.map(({ id }) => [
      id,
      progressAmong(
        steps.filter((step) => inShare.get(step.id)?.id === id),
        asked,
      ),
    ]),
  );
}

/** Whether everything of it that is asked is answered or skipped. */
export function isShareDone({ done, of }: Progress): boolean {
  return done === of;
}

/** Whether somebody has the work through shares of it alone, and so has no more of it than those. */
export function hasOnlyShares(work: Given, personId: PersonId, crew: Crew | undefined): boolean {
  const { personIds, crewId } = work;
  return work.sharedWith?.includes(personId) === true && !isAssignedTo({ personIds, crewId }, personId, crew);
}

/** How long a job is planned for somebody: the whole of it, or their shares where they have no more. */
export function plannedMinutesFor(
  work: Given & Pick<WorkOrder, 'estimateMinutes'>,
  shares: readonly Share[],
  personId: PersonId,
  crew: Crew | undefined,
): number {
  if (!hasOnlyShares(work, personId, crew)) return work.estimateMinutes;
  return shares.reduce((sum, share) => sum + (share.personId === personId ? share.plannedMinutes : 0), 0);
}

/** Who had the share at a time. */
export function holderAt({ personId, earlier }: Share, at: Instant): PersonId {
  return earlier.find(({ until }) => at < until)?.personId ?? personId;
}
