import {
  addDays,
  addMinutes,
  localDate,
  type LocalDay,
  asId,
  inZone,
  instantFromMillis,
  startOfDay,
  type CrewId,
  type EntryId,
  type Instant,
  type PersonId,
  type ShareId,
  type StopId,
  type WorkOrderId,
  minutesBetween,
} from '@oilcan/core/kernel';
import type { Asset, OpenStoppage } from '@oilcan/core/plant/plant';
import type { Stop } from '@oilcan/core/steps/rounds';
import type { Share } from '@oilcan/core/recording/shares';
import { answerContent, stepsOf, type Step, type StepAnswer, type StepQuestion } from '@oilcan/core/steps/steps';
import type { Entry, EntryContent, Hazard, WorkOrder } from '@oilcan/core/orders/work';
import { settings, technicianOf, tess } from '../mountain/people';
import type { Sector } from '../mountain/mountain';
import { partIdOf, shelfOf } from '../mountain/stores';
import { roundPlans } from '../past/plans';
import { randomFor } from '../random';
import { isolationOfMachine, toolsOfJob } from './isolation';
import { hazardList } from './hazards';
import { openJobs } from './jobs';
import type { OpenJob, SharePlan } from './open-job';
import { newSteps } from './step-plan';

/** Open work orders of one sector; the rest after the written-out jobs are rounds that come due. */
const OPEN_IN_SECTOR = 40;

export interface OpenWork {
  readonly work: WorkOrder;
  readonly stops: readonly Stop[];
  readonly shares: readonly Share[];
  readonly steps: readonly Step[];
  readonly entries: readonly Entry[];
  /** By which its machine stands still or runs reduced. */
  readonly out: readonly OpenStoppage[];
}

/** The jobs of one sector in the order in which they were made. */
export function openJobsOf(sectorNumber: number): OpenJob[] {
  const random = randomFor(`open ${sectorNumber}`);
  const taken = new Set(openJobs.map((job) => job.title));
  const rounds = roundPlans.filter((round) => !taken.has(round.title) && round.everyDays >= 14);
  const comingUp = rounds
    .map((round) => ({ round, order: random.next() }))
    .sort((a, b) => a.order - b.order)
    .slice(0, OPEN_IN_SECTOR - openJobs.length)
    .map(({ round }, index): OpenJob => {
      const day = 1 + (index % 10);
      return {
        asset: round.asset,
        title: round.title,
        reason: round.reason,
        kind: round.kind,
        urgency: day > 6 ? 'free' : 'week',
        trade: round.trade,
        due: [day, 16],
        minutes: round.minutes,
        people: [technicianOf(round.trade).id],
        hazards: round.trade === 'rope' ? ['height', 'rope'] : ['rotating'],
        ...(day > 2 && day < 7 ? { plannedIn: day - 1 } : {}),
        kit: (round.uses ?? []).map(([number, thousandths]) => [number, thousandths] as const),
        steps: round.steps,
      };
    });
  return [...openJobs, ...comingUp];
}

/** The dues of the jobs are written for a demo that is made at this hour. */
const WRITTEN_AT_HOUR = 8;

/**
 * When a job is due: on other days at its hour, today as long after the present as it would be at eight in the morning. What
 * would lie beyond midnight moves together before it, so that the demo reads the same at any hour.
 */
export function dueAt(now: Instant, days: number, hour: number): Instant {
  const { zone } = settings;
  if (days !== 0)
    return instantFromMillis(
      inZone(startOfDay(now, zone, days), zone)
        .set({ hour })
        .toMillis(),
    );
  const hoursAhead = hour - WRITTEN_AT_HOUR;
  const leftMinutes = minutesBetween(now, startOfDay(now, zone, 1)) - 1;
  const share = Math.min(60, leftMinutes / (24 - WRITTEN_AT_HOUR));
  return addMinutes(now, Math.round(hoursAhead * (hoursAhead < 0 ? 60 : share)));
}

/**
 * A job as rows, as they stand at `now`.
 *
 * @param taken machines of which it is recorded already that they are out
 */
export function openWorkFrom(
  job: OpenJob,
  assets: ReadonlyMap<string, Asset>,
  number: number,
  now: Instant,
  sector: Sector,
  taken: ReadonlySet<string>,
): OpenWork {
  const asset = assetOf(assets, job.asset);
  const workId = asId<WorkOrderId>(`w-${number}`);
  const isBegun = (job.done ?? 0) > 0;
  const startedAt = isBegun ? addMinutes(now, -95) : null;
  const firstPerson = asId<PersonId>(job.people[0] ?? 'jonas');
  const createdAt = addMinutes(now, -(60 + (number % 7) * 710));
  const stops = (job.stops ?? []).map((stop, index): Stop => ({
    id: asId<StopId>(`${workId}-stop-${String(index + 1).padStart(2, '0')}`),
    siteId: asset.siteId,
    workOrderId: workId,
    assetId: assetOf(assets, stop.asset).id,
    position: index + 1,
    leftOut: null,
  }));
  const work: WorkOrder = {
    id: workId,
    number: `W-${number}`,
    siteId: asset.siteId,
    assetId: asset.id,
    placeId: asset.placeId,
    kind: job.kind,
    urgency: job.urgency,
    state: job.held !== undefined ? 'held' : isBegun ? 'underway' : 'ready',
    title: job.title,
    reason: job.reason,
    tradeId: job.trade,
    dueAt: job.due === null ? null : dueAt(now, ...job.due),
    ...(job.plannedIn === undefined ? {} : { plannedOn: dayIn(now, job.plannedIn) }),
    ...putOffOf(job, createdAt, now),
    estimateMinutes: job.minutes,
    personIds: job.people.map((id) => asId<PersonId>(id)),
    crewId: job.crew === undefined ? null : asId<CrewId>(job.crew),
    hazards: [
      ...job.hazards.map((key) => hazardOf(key)),
      ...stops.flatMap(({ id }, index) =>
        (job.stops?.[index]?.hazards ?? []).map((key) => ({ ...hazardOf(key), id: `${key}-${index + 1}`, stopId: id })),
      ),
    ],
    previousAssignees: null,
    kit: job.kit.map(([part, quantity, unit]) => ({
      partId: partIdOf(part),
      binId: shelfOf(part).bin.id,
      quantity,
      unit: unit ?? null,
    })),
    tools: toolsOfJob[job.title] ?? [],
    isolation: isolationOfMachine[job.asset] ?? [],
    createdAt,
    startedAt,
    finishedAt: null,
    finishedBy: null,
    closedAt: null,
    held: job.held === undefined ? null : { reason: job.held[0], note: job.held[1] },
    handedBack: job.handedBack === undefined ? null : { reason: job.handedBack, by: tess.id, since: createdAt },
    lastTransition: null,
    cameFrom: null,
  };
  const out = asset.condition === 'running' || taken.has(asset.id) ? null : asset.condition;
  const entries: Entry[] = [];
  const enter = (by: PersonId, when: Instant, content: EntryContent): Entry => {
    const id = asId<EntryId>(`${workId}-e${entries.length + 1}`);
    const entry: Entry = {
      id,
      siteId: asset.siteId,
      workOrderId: workId,
      assetId: asset.id,
      at: when,
      by,
      amends: null,
      content,
    };
    entries.push(entry);
    return entry;
  };
  const extent = out === 'stopped' ? 'full' : 'reduced';
  const stoppages =
    out === null
      ? []
      : [
          enter(tess.id, createdAt, {
            kind: 'stoppage',
            from: asset.conditionSince,
            to: null,
            extent,
            isPlanned: false,
          }),
        ];
  for (const [person, text] of job.notes ?? [])
    enter(asId<PersonId>(person), addMinutes(now, -190), { kind: 'note', text });
  if (startedAt !== null) enter(firstPerson, startedAt, { kind: 'state', from: 'ready', to: 'underway', reason: '' });
  const made = { prefix: workId, workOrderId: workId, siteId: asset.siteId, stopId: null, after: 0, added: null };
  const atStops = stops.flatMap((stop, index) => {
    const there = newSteps(job.stops?.[index]?.steps ?? [], sector.idOf);
    return stepsOf(there, { ...made, prefix: stop.id, stopId: stop.id });
  });
  const steps = [...atStops, ...stepsOf(newSteps(job.steps, sector.idOf), made)].map((step, index) => {
    if (index >= (job.done ?? 0)) return step;
    const value = usualAnswer(step.question);
    const when = addMinutes(now, -90 + index * 20);
    const entry = enter(firstPerson, when, answerContent(step, value));
    return { ...step, answer: { value, at: when, by: firstPerson, entryId: entry.id }, answeredAt: when };
  });
  if (job.held !== undefined) {
    enter(firstPerson, addMinutes(now, -40), { kind: 'state', from: 'underway', to: 'held', reason: job.held[0] });
  }
  const shares = sharesOf(job, work, stops, steps);
  const holders = [...new Set(shares.map(({ personId }) => personId))].sort();
  for (const { id: shareId, personId, stepIds, madeAt } of shares)
    enter(tess.id, madeAt, { kind: 'share', shareId, act: 'made', personId, steps: stepIds.length });
  return {
    work: shares.length === 0 ? work : { ...work, sharedWith: holders },
    stops,
    shares,
    steps,
    entries,
    out: stoppages.map(({ id }) => ({ entryId: id, workOrderId: workId, from: asset.conditionSince, extent })),
  };
}

function dayIn(now: Instant, days: number): LocalDay {
  return addDays(localDate(now, settings.zone), days);
}

function putOffOf(job: OpenJob, at: Instant, now: Instant): Pick<WorkOrder, 'putOff' | 'timesPutOff'> {
  if (job.putOff === undefined) return {};
  const [days, reason, timesPutOff] = job.putOff;
  const by = asId<PersonId>(job.people[0] ?? 'jonas');
  return { putOff: { until: dayIn(now, days), reason, by, at }, timesPutOff };
}

function sharesOf(job: OpenJob, work: WorkOrder, stops: readonly Stop[], steps: readonly Step[]): Share[] {
  const roots = steps.filter(({ parentId }) => parentId === null);
  const ofTheWhole = roots.filter(({ stopId }) => stopId === null);
  return (job.shares ?? []).map((plan, index): Share => {
    const at = new Set(stops.flatMap(({ id }, number) => (isAt(plan, job.stops?.[number]?.asset) ? [id] : [])));
    const chosen = [
      ...roots.filter(({ stopId }) => stopId !== null && at.has(stopId)),
      ...(plan.steps ?? []).map((number) => stepNumbered(ofTheWhole, number)),
    ];
    return {
      id: asId<ShareId>(`${work.id}-share-${index + 1}`),
      siteId: work.siteId,
      workOrderId: work.id,
      personId: asId<PersonId>(plan.person),
      earlier: [],
      tradeId: plan.trade,
      assetId: work.assetId,
      plannedMinutes: plan.minutes,
      stepIds: chosen.map(({ id }) => id),
      madeBy: tess.id,
      madeAt: work.createdAt,
    };
  });
}

function isAt({ stops = [] }: SharePlan, asset: string | undefined): boolean {
  return asset !== undefined && stops.includes(asset);
}

function stepNumbered(steps: readonly Step[], number: number): Step {
  const step = steps[number - 1];
  if (step === undefined) throw new Error(`There is no step ${number}.`);
  return step;
}

function assetOf(assets: ReadonlyMap<string, Asset>, key: string): Asset {
  const asset = assets.get(key);
  if (asset === undefined) throw new Error(`There is no asset ${key}.`);
  return asset;
}

function hazardOf(key: string): Hazard {
  const [hazard, control] = hazardList[key] ?? ['', ''];
  return { id: key, hazard, control };
}

/** What is answered where nothing is wrong. */
function usualAnswer(question: StepQuestion): StepAnswer {
  switch (question.type) {
    case 'tick':
      return { type: 'tick' };
    case 'finding':
      return { type: 'finding', asFound: 'good', asLeft: null };
    case 'number':
      return { type: 'number', value: question.limits.alertLow ?? question.limits.alertHigh ?? 0 };
    case 'choice':
      return { type: 'choice', chosen: question.options.slice(0, 1).map(({ key }) => key) };
    case 'text':
    case 'meter':
    case 'photo':
    case 'signature':
      throw new Error(`Nobody knows what is usually answered to a step of the kind ${question.type}.`);
  }
}
