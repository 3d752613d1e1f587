import {
  addDays,
  addMinutes,
  asId,
  localDate,
  type Instant,
  type LocalDay,
  type PlanId,
  type PointId,
  type ProcedureId,
} from '@oilcan/core/kernel';
import type { LastEnded, Plan, Trigger } from '@oilcan/core/finishing/plans';
import type { Asset, ReadingValue } from '@oilcan/core/plant/plant';
import type { Procedure } from '@oilcan/core/steps/procedures';
import type { OfPlan, WorkOrder } from '@oilcan/core/orders/work';
import { settings, technicianOf } from '../mountain/people';
import type { Sector } from '../mountain/mountain';
import { partIdOf, shelfOf } from '../mountain/stores';
import { roundPlans, type RoundPlan } from '../past/plans';
import { hazardList } from './hazards';
import { newSteps } from './step-plan';

/** The first twenty of what comes round have a plan each; the towers and the snow guns are walked by rounds. */
const PLANNED = 20;
/** What has no open work order is due so many days from today, the next one later. */
const FIRST_DUE_DAYS = 10;
const DAYS_BETWEEN = 3;

const planned = roundPlans.slice(0, PLANNED);

/** What makes a plan due beside its interval, by the machine: hours of a meter, fixed days of the month. */
const byHours: Readonly<Record<string, readonly [meter: string, hours: number]>> = {
  'lark-standby': ['lark-standby-hours', 12],
  compressor: ['compressor-hours', 110],
  'pump-1': ['pump-1-hours', 250],
  'pump-2': ['pump-2-hours', 250],
};
const byDates: readonly string[] = ['lark-service-brake', 'lark-emergency-brake', 'juniper-service-brake', 'pocket'];
/** The snow plant rests in summer. */
const resting: readonly string[] = ['pump-1', 'pump-2', 'compressor'];
const summer = [{ from: '05-01', to: '09-30' }];

const planIdOf = (sector: Sector, round: RoundPlan): PlanId => asId<PlanId>(sector.idOf(`plan-${round.asset}`));
const procedureIdOf = (sector: Sector, round: RoundPlan): ProcedureId =>
  asId<ProcedureId>(sector.idOf(`procedure-plan-${round.asset}`));

/** Of which plan an open work order is; undefined for none. */
export function ofPlan(sector: Sector, work: WorkOrder): OfPlan | undefined {
  const round = planned.find(({ asset, title }) => title === work.title && sector.idOf(asset) === work.assetId);
  if (round === undefined || work.dueAt === null) return undefined;
  const dueOn = localDate(work.dueAt, settings.zone);
  return { planId: planIdOf(sector, round), occurrence: timesMade(round), dueOn };
}

const YEARS_PLANNED = 3;
const timesMade = ({ everyDays }: RoundPlan): number => Math.floor((YEARS_PLANNED * 365) / everyDays);

/** The procedures of planned work, each of its own machine. */
export function proceduresOfPlans(sector: Sector, assets: ReadonlyMap<string, Asset>): Procedure[] {
  return planned.flatMap((round): Procedure[] => {
    const asset = assets.get(round.asset);
    if (asset === undefined) return [];
    const hazards = round.trade === 'rope' ? ['height', 'rope'] : ['rotating'];
    return [
      {
        id: procedureIdOf(sector, round),
        siteId: asset.siteId,
        assetId: asset.id,
        title: round.title,
        equipmentClasses: [asset.equipmentClass],
        tradeId: round.trade,
        steps: newSteps(round.steps, sector.idOf),
        hazards: hazards.map((key) => ({ hazard: hazardList[key]?.[0] ?? '', control: hazardList[key]?.[1] ?? '' })),
        kit: (round.uses ?? []).map(([number, thousandths]) => ({
          partId: partIdOf(number),
          binId: shelfOf(number).bin.id,
          quantity: thousandths as never,
          unit: null,
        })),
        // Brakes and stop buttons: nobody finishes without every step.
        ...(round.kind === 'inspection' ? { demands: { steps: 'must' as const } } : {}),
      },
    ];
  });
}

/** The plans of a mountain: those with an open work order name it, the others are due within the next weeks. */
export function plansOf(
  sector: Sector,
  assets: ReadonlyMap<string, Asset>,
  open: readonly WorkOrder[],
  latestOf: (pointKey: string) => readonly ReadingValue[],
  now: Instant,
): Plan[] {
  const today = localDate(now, settings.zone);
  let waiting = 0;
  return planned.flatMap((round): Plan[] => {
    const asset = assets.get(round.asset);
    if (asset === undefined) return [];
    const work = open.find((each) => ofPlan(sector, each)?.planId === planIdOf(sector, round));
    const dueOn =
      work?.dueAt == null
        ? addDays(today, FIRST_DUE_DAYS + DAYS_BETWEEN * waiting)
        : localDate(work.dueAt, settings.zone);
    if (work === undefined) waiting += 1;
    const before = addDays(dueOn, -round.everyDays);
    return [
      {
        id: planIdOf(sector, round),
        siteId: asset.siteId,
        assetId: asset.id,
        title: round.title,
        reason: round.reason,
        kind: round.kind,
        urgency: 'week',
        tradeId: round.trade,
        estimateMinutes: round.minutes,
        personIds: [technicianOf(round.trade).id],
        crewId: null,
        procedureId: procedureIdOf(sector, round),
        triggers: triggersOf(sector, round, before),
        leadDays: round.everyDays > 7 ? 7 : 2,
        dueMinutes: 16 * 60,
        startsOn: addDays(today, -YEARS_PLANNED * 365),
        idle: resting.includes(round.asset) ? summer : [],
        except: [],
        last: lastOf(sector, round, before, latestOf),
        made: timesMade(round),
        open: work === undefined ? null : { workOrderId: work.id, dueOn },
      },
    ];
  });
}

function triggersOf(sector: Sector, { asset, everyDays }: RoundPlan, before: LocalDay): Trigger[] {
  const meter = byHours[asset];
  const triggers: Trigger[] = byDates.includes(asset)
    ? [{ kind: 'dates', rule: `FREQ=DAILY;INTERVAL=${everyDays}`, from: addDays(before, -10 * everyDays) }]
    : [{ kind: 'completion', every: everyDays, unit: 'day' }];
  if (meter !== undefined) {
    const [key, every] = meter;
    triggers.push({ kind: 'meter', pointId: asId<PointId>(sector.idOf(key)), every, from: 0 });
  }
  return triggers;
}

/** When it was done last, and what its meter showed then, by its readings. */
function lastOf(
  sector: Sector,
  { asset }: RoundPlan,
  endedOn: LocalDay,
  latestOf: (pointKey: string) => readonly ReadingValue[],
): LastEnded {
  const at = addMinutes(`${endedOn}T00:00:00.000Z` as Instant, 12 * 60);
  const key = byHours[asset]?.[0];
  const readings = key === undefined ? [] : latestOf(key);
  const shown = readings.findLast((reading) => reading.at <= at) ?? readings[0];
  const meters = key === undefined || shown === undefined ? {} : { [sector.idOf(key)]: shown.value };
  return { dueOn: endedOn, endedOn, at, was: 'done', meters };
}
