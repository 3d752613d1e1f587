import { addDays, type LocalDay } from '../../kernel/time/local-day';
import type { Zone } from '../../kernel/time/zone';
import type { Asset, MeasuringPoint } from '../plant/plant';
import { nextDue, type NextDue } from './next-due';
import type { Plan } from './plan';

/** What is due within so many days is worth taking along when somebody is at the machine. */
const SOON_DAYS = 28;

export interface DueSoon {
  readonly plan: Plan;
  readonly due: NextDue;
}

/** What is due soon on a machine, what it is part of, and its parts; what is open already is left out. The first due first. */
export function dueSoonOn(
  plans: readonly Plan[],
  assets: ReadonlyMap<string, Pick<Asset, 'id' | 'parentId'>>,
  assetId: string,
  {
    today,
    zone,
    pointOf,
  }: { readonly today: LocalDay; readonly zone: Zone; readonly pointOf: (id: string) => MeasuringPoint | undefined },
): DueSoon[] {
  const until = addDays(today, SOON_DAYS);
  const above = ancestors(assets, assetId);
  return plans
    .filter((plan) => plan.open === null && (above.has(plan.assetId) || ancestors(assets, plan.assetId).has(assetId)))
    .flatMap((plan) => {
      const due = nextDue(plan, pointOf, zone);
      return due === null || due.on > until ? [] : [{ plan, due }];
    })
    .sort((a, b) => (a.due.on < b.due.on ? -1 : a.due.on > b.due.on ? 1 : a.plan.title < b.plan.title ? -1 : 1));
}

/** A machine, and all that it is part of. */
function ancestors(assets: ReadonlyMap<string, Pick<Asset, 'id' | 'parentId'>>, assetId: string): Set<string> {
  const found = new Set<string>();
  let next: string | null = assetId;
  while (next !== null && !found.has(next)) {
    found.add(next);
    next = assets.get(next)?.parentId ?? null;
  }
  return found;
}
