import type { PersonId } from '../../kernel/ids';
import type { Instant } from '../../kernel/time/instant';
import { hasRole } from '../../operations/actor';
import type { OperationContext } from '../../operations/operation';
import type { Records } from '../../records/records';
import { rulesOf, waitsForLead } from '../raise-rules/raise-rules';
import type { KitPart, WorkOrder } from '../work/work-order';

/** That raised work waits for a lead, or who let it start. */
export interface GoAhead {
  /** Since when it waits, or waited. */
  readonly since: Instant;
  /** Who let it start; null while it waits. */
  readonly givenBy: PersonId | null;
}

/** Whether work waits for a lead to let it start. What became urgent since, or has been started by a lead, waits no more. */
export function waitsForGoAhead(work: Pick<WorkOrder, 'goAhead' | 'urgency' | 'state'>): boolean {
  return work.goAhead?.givenBy === null && work.urgency !== 'now' && work.state === 'ready';
}

/** Whether work that somebody raises waits, by the rules of its site; what a lead raises does not. Undefined where it may start. */
export async function goAheadFor(
  records: Records,
  work: Pick<WorkOrder, 'siteId' | 'kind' | 'urgency' | 'estimateMinutes' | 'kit'>,
  context: OperationContext,
): Promise<GoAhead | undefined> {
  if (hasRole(context.person, ['lead'])) return undefined;
  const { goAhead } = rulesOf(work.siteId, await records.get('raiseRules', work.siteId));
  const toStart = { ...work, kitMinor: await kitMinorOf(records, work.kit) };
  return waitsForLead(goAhead, toStart) ? { since: context.at, givenBy: null } : undefined;
}

/** What a kit costs at the prices of its parts, in the smallest currency unit. */
async function kitMinorOf(records: Records, kit: readonly KitPart[]): Promise<number> {
  let sum = 0;
  for (const { partId, quantity } of kit) {
    const part = await records.get('parts', partId);
    sum += Math.round(((part?.priceMinor ?? 0) * quantity) / 1_000);
  }
  return sum;
}
