import { planFollows } from '../plans/plan-work';
import { reportFollows } from '../../raising/reports/report-follows';
import type { FollowsWork } from '../../orders/work/follows-work';

/** Everything that goes on or closes with the work that came from it. */
const followers: readonly FollowsWork[] = [planFollows, reportFollows];

/** Tells what a work order came from that it ended. */
export async function tellEnded(...told: Parameters<FollowsWork['ended']>): Promise<void> {
  for (const { ended } of followers) await ended(...told);
}

/** Tells what a work order came from that it is open again. */
export async function tellReopened(...told: Parameters<FollowsWork['reopened']>): Promise<void> {
  for (const { reopened } of followers) await reopened(...told);
}
