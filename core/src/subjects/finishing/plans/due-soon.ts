import { addDays, type LocalDay } from '../../../kernel/time/local-day';
import type { Zone } from '../../../kernel/time/zone';
import type { NextOn } from '../../../operations/operation';
import type { Asset, MeasuringPoint } from '../../plant/plant/plant';
import { nextDue, type NextDue } from './next-due';
import type { Plan } from './plan';

/** What is due within so many days is worth taking along when somebody is at the machine. */
const SOON_DAYS = 28;

export interface DueSoon {
  readonly plan: Plan;
  readonly on: LocalDay;
  /** Why then; null where its work order is open already. */
  readonly due: NextDue | null;
}

/** What is due soon, or open, of the plans for a machine, what it is part of, and its parts; the first due first. */
export function dueSoonOn(
  plans: readonly Plan[],
  assets: ReadonlyMap<string, Pick<Asset, 'id' | 'parentId'>>,
  assetId: string,
  {
    today,
    zone,
    pointOf,
    nextOn,
  }: {
    readonly today: LocalDay;
    readonly zone: Zone;
    readonly pointOf: (id: string) => MeasuringPoint | undefined;
    readonly nextOn: NextOn;
  },
): DueSoon[] {
  const until = addDays(today, SOON_DAYS);
  const above = ancestors(assets, assetId);
  return plans
    .filter((plan) => above.has(plan.assetId) || ancestors(assets, plan.assetId).has(assetId))
    .flatMap((plan): DueSoon[] => {
      if (plan.open !== null) return [{ plan, on: plan.open.dueOn, due: null }];
      const due = nextDue(plan, pointOf, zone, nextOn);
      return due === null ? [] : [{ plan, on: due.on, due }];
    })
    .filter(({ on }) => on <= until)
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.plan.title < b.plan.title ? -1 : 1));
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
