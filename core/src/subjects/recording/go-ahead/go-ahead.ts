import type { PersonId } from '../../../kernel/ids';
import { convertQuantity } from '../../../kernel/quantity/units';
import type { Instant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import type { OperationContext } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { rulesOf, waitsForLead } from '../../orders/raise-rules/raise-rules';
import { partCost } from '../../stores/stock/part-cost';
import { currenciesAt, unitPriceAt } from '../../stores/stock/prices';
import type { WorkOrder } from '../../orders/work/work-order';

/** That raised work waits for a lead, or who let it start. */
export interface GoAhead {
  /** Since when it waits, or waited. */
  readonly since: Instant;
  /** Who let it start; null while it waits. */
  readonly givenBy: PersonId | null;
}

/** Whether work that somebody raises waits, by the rules of its site; what a lead raises does not. Undefined where it may start. */
export async function goAheadFor(
  records: Records,
  work: Pick<WorkOrder, 'siteId' | 'kind' | 'urgency' | 'estimateMinutes' | 'kit'>,
  context: OperationContext,
): Promise<GoAhead | undefined> {
  if (hasRole(context.person, ['lead'])) return undefined;
  const { goAhead } = rulesOf(work.siteId, await records.get('raiseRules', work.siteId));
  const toStart = { ...work, kitMinor: await kitMinorOf(records, work) };
  return waitsForLead(goAhead, toStart) ? { since: context.at, givenBy: null } : undefined;
}

/**
 * What a kit costs at the prices of its parts there, in the smallest unit of the site's currency; infinitely much where that cannot be
 * said: of a part whose planned unit does not convert to its own, or whose price is in another currency.
 */
async function kitMinorOf(records: Records, { kit, siteId }: Pick<WorkOrder, 'kit' | 'siteId'>): Promise<number> {
  const currencies = await currenciesAt(records, siteId);
  let sum = 0;
  for (const { partId, quantity, unit } of kit) {
    const part = await records.get('parts', partId);
    const price = part === undefined ? null : await unitPriceAt(records, part, siteId);
    const inPartUnit = part === undefined ? null : convertQuantity(quantity, unit ?? part.unit, part.unit);
    if (price === null || inPartUnit === null || price.currency !== currencies?.ofSite) return Infinity;
    sum += partCost(inPartUnit, price).minor;
  }
  return sum;
}
