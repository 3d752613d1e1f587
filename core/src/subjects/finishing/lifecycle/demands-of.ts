import type { Settings } from '../../orders/settings/settings';
import { owedThings, type Demand, type Demands } from '../../orders/work/demands';
import type { WorkKind } from '../../orders/work/work-order';

/** What is wanted where nobody chose: what endangers somebody, or makes records untrue, holds up finishing. */
const byDefault: Demands = {
  steps: 'not',
  readings: 'not',
  meter: 'not',
  fault: 'not',
  codes: 'not',
  part: 'not',
  stoppage: 'not',
  stoppageEnd: 'asked',
  time: 'not',
  photo: 'not',
  signature: 'not',
  clocks: 'must',
  locks: 'must',
};

/** Everything is wanted: what is not given shows by it. */
export const everythingMust = Object.fromEntries(owedThings.map((thing) => [thing, 'must'])) as unknown as Demands;

const strength: Readonly<Record<Demand, number>> = { not: 0, asked: 1, must: 2 };

/**
 * What is wanted of work of a kind: as the lead chose, where nobody did by the rules that settings had before; and of one work
 * order at least what its procedure wants.
 */
export function demandsOf(
  settings: Pick<Settings, 'owed' | 'demands'>,
  work: { readonly kind: WorkKind; readonly demands?: Partial<Demands> },
): Demands {
  const ofKind = settings.demands?.[work.kind] ?? ofRules(settings.owed[work.kind]);
  const pairs = owedThings.map((thing) => [thing, stronger(ofKind[thing], work.demands?.[thing])]);
  return Object.fromEntries(pairs) as Demands;
}

function ofRules({ steps, time, codes = false }: Settings['owed'][WorkKind]): Demands {
  const must = (isOwed: boolean): Demand => (isOwed ? 'must' : 'not');
  return { ...byDefault, steps: must(steps), time: must(time), codes: must(codes) };
}

function stronger(one: Demand, other: Demand | undefined): Demand {
  return other !== undefined && strength[other] > strength[one] ? other : one;
}
