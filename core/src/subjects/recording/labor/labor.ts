import type { PersonId, SiteId, StepId } from '../../../kernel/ids';
import { scaleAmount, type Money } from '../../../kernel/money/money';
import { LONGEST_LABOR_MINUTES } from '../../../kernel/time/duration';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { accepted, refuse, type Result, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { rateId, SETTINGS_ID, settingsAt } from '../../orders/settings/settings';
import { namedStep } from '../../steps/steps/find-step';
import type { WorkOrder } from '../../orders/work/work-order';
import type { LaborContent, LaborRate, TimeType } from './labor-entries';

/** A typed time is given in whole minutes, so its end may lie up to this far past the present. */
export const ROUNDING_MINUTES = 1;
/** Time of longer ago is not recorded any more. */
const OLDEST_LABOR_MINUTES = 366 * 24 * 60;

/**
 * What so many minutes cost at a rate, rounded once to the smallest currency unit; travel is paid like regular time
 * (common practice).
 */
export function laborCost(minutes: number, timeType: TimeType, rate: LaborRate): Money {
  const percent = timeType === 'overtime' ? rate.overtimePercent : 100;
  return scaleAmount([rate.minorPerHour, minutes, percent], 60 * 100, rate.currency);
}

interface LaborInput {
  readonly personId: PersonId;
  readonly startedAt: Instant;
  readonly minutes: number;
  readonly timeType: TimeType;
  readonly stepId?: StepId | undefined;
  /** Instead of the person's own trade. */
  readonly tradeId?: string | undefined;
}

/** Whether a time can have been worked: above zero, at most a day, within the last year, and not to come. */
export function checkLabor(input: Pick<LaborInput, 'startedAt' | 'minutes'>, context: OperationContext): Outcome {
  if (input.minutes <= 0) return refuse('labor_not_positive', {}, 'minutes');
  if (input.minutes > LONGEST_LABOR_MINUTES) return refuse('labor_too_long', {}, 'minutes');
  if (input.startedAt < addMinutes(context.at, -OLDEST_LABOR_MINUTES)) return refuse('labor_too_old', {}, 'startedAt');
  if (addMinutes(input.startedAt, input.minutes) > addMinutes(context.at, ROUNDING_MINUTES)) {
    return refuse('labor_in_future', {}, 'minutes');
  }
  return accepted;
}

/**
 * A time with what it costs by the rate of the person's trade on the site of the work; without a cost where that rate is
 * not there, as on the phone of somebody who may not see it.
 *
 * @param rate what it was paid by when it was first recorded; looked up when left out
 */
export async function laborContent(
  records: Records,
  work: WorkOrder,
  input: LaborInput,
  rate?: LaborRate | null,
): Promise<Result<LaborContent>> {
  const person = await records.get('people', input.personId);
  if (person === undefined) return refuse('not_found', { what: 'person' }, 'personId');
  const tradeId = input.tradeId ?? person.tradeId;
  const paidBy = rate === undefined ? await rateOf(records, work.siteId, tradeId, person.levelId) : rate;
  const cost = paidBy === null ? null : laborCost(input.minutes, input.timeType, paidBy);
  return { ok: true, value: { kind: 'labor', ...pickLabor(input), tradeId, rate: paidBy, cost } };
}

/** The rate of a trade on a site: that of the person's level where it has one of its own, else that of the trade. */
async function rateOf(
  records: Records,
  siteId: SiteId,
  tradeId: string,
  levelId: string | undefined,
): Promise<LaborRate | null> {
  const ofLevel = levelId === undefined ? undefined : await records.get('rates', rateId(siteId, tradeId, levelId));
  const rate = ofLevel ?? (await records.get('rates', rateId(siteId, tradeId)));
  const settings = await records.get('settings', SETTINGS_ID);
  if (rate === undefined || settings === undefined) return null;
  const { currency } = settingsAt(settings, await records.get('sites', siteId));
  return { minorPerHour: rate.minorPerHour, overtimePercent: rate.overtimePercent, currency };
}

function pickLabor({ personId, startedAt, minutes, timeType, stepId }: LaborInput) {
  return { personId, startedAt, minutes, timeType, ...namedStep(stepId) };
}
