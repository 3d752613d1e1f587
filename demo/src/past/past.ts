import {
  addMinutes,
  asId,
  inZone,
  instantFromMillis,
  startOfDay,
  type EntryId,
  type Instant,
  type PointId,
  type StepId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import { laborCost } from '@oilcan/core/recording/labor';
import type { Asset, ReadingValue } from '@oilcan/core/plant/plant';
import { levelOf } from '@oilcan/core/steps/readings';
import { partCost } from '@oilcan/core/stores/stock';
import type { Entry, EntryContent, WorkOrder } from '@oilcan/core/orders/work';
import { laborRateOf, settings, technicianOf, tess } from '../mountain/people';
import { valueAt, type Sector } from '../mountain/mountain';
import { pointPlans } from '../mountain/points';
import { partIdOf, shelfOf, type Stockroom } from '../mountain/stores';
import { randomFor, type Random } from '../random';
import { failureDays } from './failure-times';
import { roundPlans, type RoundPlan } from './plans';
import { failureProcesses, type FailureProcess, type Lasting } from './processes';
import { remarkOnPlanned, tellFailure } from './wording';

export const PAST_DAYS = 3 * 365;
/** The newest failures and rounds are left to the open work. */
const QUIET_DAYS = 1;
/** Older work has been looked at by the lead; the rest waits on the Desk. */
const ACCEPTED_AFTER_DAYS = 12;

/** Something that was done: planned long before, or because of a failure. */
export type PastEvent = {
  readonly sector: Sector;
  readonly asset: Asset;
  /** When it came up. */
  readonly at: Instant;
  readonly day: number;
  readonly random: Random;
} & ({ readonly failure: FailureProcess } | { readonly round: RoundPlan });

/** Everything that came up in a sector, in no order. */
export function pastEvents(sector: Sector, assets: ReadonlyMap<string, Asset>, now: Instant): PastEvent[] {
  const assetOf = (key: string): Asset => {
    const asset = assets.get(key);
    if (asset === undefined) throw new Error(`There is no asset ${key}.`);
    return asset;
  };
  const failures = failureProcesses.flatMap((failure, index) => {
    const random = randomFor(`failures ${sector.number} ${failure.asset} ${failure.component} ${index}`);
    return failureDays(failure.course, PAST_DAYS - QUIET_DAYS, random).map((day) => ({
      sector,
      asset: assetOf(failure.asset),
      failure,
      day,
      at: workingTime(day, now, random),
      random,
    }));
  });
  const rounds = roundPlans.flatMap((round) => {
    const random = randomFor(`rounds ${sector.number} ${round.asset} ${round.title}`);
    const days: number[] = [];
    for (let day = random.whole(0, round.everyDays - 1); day < PAST_DAYS - QUIET_DAYS; day += round.everyDays)
      days.push(day);
    return days.map((day) => ({
      sector,
      asset: assetOf(round.asset),
      round,
      day,
      at: workingTime(day, now, random),
      random,
    }));
  });
  return [...failures, ...rounds];
}

/** The day of the past at a time when people are at work. */
function workingTime(day: number, now: Instant, random: Random): Instant {
  const date = startOfDay(now, settings.zone, Math.floor(day) - PAST_DAYS);
  const time = inZone(date, settings.zone).set({ hour: random.whole(6, 15), minute: random.whole(0, 59) });
  return instantFromMillis(time.toMillis());
}

function draw({ medianMinutes, logSpread }: Lasting, random: Random): number {
  return Math.max(5, Math.round(medianMinutes * Math.exp(logSpread * random.normal())));
}

/** Of a hundred things looked at, so many are found faulty, and so many of those are put right at once. */
const FOUND_FAULTY = 0.03;
const PUT_RIGHT = 0.75;

/** What was found faulty on a round; what was good is left out of the past. */
function foundFaulty(round: RoundPlan, work: FinishedWork): EntryContent[] {
  const random = randomFor(`found ${work.id}`);
  return round.steps.flatMap((says, index): EntryContent[] => {
    if (!says.startsWith('?') || !random.chance(FOUND_FAULTY)) return [];
    const asLeft = random.chance(PUT_RIGHT) ? 'putRight' : 'faulty';
    return [
      {
        kind: 'answer',
        stepId: asId<StepId>(`${work.id}-s${index + 1}`),
        answer: { type: 'finding', asFound: 'faulty', asLeft },
        faulty: { text: says.slice(1), said: '', asLeft },
      },
    ];
  });
}

export interface PastWork {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
}

/** Writes the past down: work orders with what was recorded on them, taking parts from the stockroom. */
export class PastWriter {
  /** Newest values by measuring point id. */
  readonly latest = new Map<PointId, ReadingValue[]>();
  readonly #stockroom: Stockroom;
  readonly #now: Instant;

  constructor(stockroom: Stockroom, now: Instant) {
    this.#stockroom = stockroom;
    this.#now = now;
  }

  write(event: PastEvent, number: number): PastWork {
    return 'failure' in event
      ? this.#writeFailure(event, event.failure, number)
      : this.#writeRound(event, event.round, number);
  }

  #writeFailure(event: PastEvent, failure: FailureProcess, number: number): PastWork {
    const { random } = event;
    const story = tellFailure(failure.words, random);
    const minutes = draw(failure.repair, random);
    const startedAt = addMinutes(event.at, random.whole(5, 50));
    const work = this.#finishedWork(event, number, {
      kind: 'corrective',
      title: story.title,
      reason: story.reason,
      tradeId: failure.trade,
      estimateMinutes: Math.round(failure.repair.medianMinutes / 15) * 15,
      urgency:
        failure.stoppage === null ? random.pick(['week', 'shift'] as const) : random.pick(['now', 'shift'] as const),
      dueAt: addMinutes(event.at, random.pick([120, 480, 1440])),
      startedAt,
      finishedAt: addMinutes(startedAt, minutes),
    });
    const scribe = new Scribe(work);
    scribe.add(startedAt, { kind: 'state', from: 'ready', to: 'underway', reason: '' });
    const { stoppage } = failure;
    if (stoppage !== null && random.chance(stoppage.probability)) {
      const to = addMinutes(event.at, Math.max(minutes, draw(stoppage, random)));
      scribe.add(to, {
        kind: 'stoppage',
        from: event.at,
        to: to > this.#now ? null : to,
        extent: stoppage.extent,
        isPlanned: false,
      });
    }
    for (const [part, amount, probability] of failure.parts) {
      if (random.chance(probability))
        this.#takePart(scribe, part, amount * 1000, addMinutes(startedAt, Math.round(minutes * 0.6)));
    }
    scribe.add(work.finishedAt, {
      kind: 'fault',
      mode: failure.mode,
      mechanism: failure.mechanism,
      cause: failure.cause,
      detection: random.pick([1, 5, 8, 8, 9]),
      activity: random.pick([1, 1, 2, 4]),
      component: failure.component,
      text: story.reason,
    });
    scribe.add(work.finishedAt, { kind: 'note', text: story.note });
    scribe.sayNone();
    this.#addLabor(scribe, work, minutes, random);
    return scribe.finish();
  }

  #writeRound(event: PastEvent, round: RoundPlan, number: number): PastWork {
    const { random } = event;
    const minutes = draw({ medianMinutes: round.minutes, logSpread: 0.18 }, random);
    const startedAt = addMinutes(event.at, random.whole(0, 90));
    const work = this.#finishedWork(event, number, {
      kind: round.kind,
      title: round.title,
      reason: round.reason,
      tradeId: round.trade,
      estimateMinutes: round.minutes,
      urgency: 'week',
      dueAt: addMinutes(event.at, random.whole(-1, 3) * 1440),
      startedAt,
      finishedAt: addMinutes(startedAt, minutes),
    });
    const scribe = new Scribe(work);
    scribe.add(startedAt, { kind: 'state', from: 'ready', to: 'underway', reason: '' });
    for (const [part, thousandths] of round.uses ?? []) this.#takePart(scribe, part, thousandths, startedAt);
    for (const plan of pointPlans) {
      const isAsked = round.steps.includes(`#${plan.key}`) || (plan.isMeter === true && plan.asset === round.asset);
      if (!isAsked) continue;
      const pointId = asId<PointId>(event.sector.idOf(plan.key));
      const before = this.latest.get(pointId) ?? [];
      const drawn = valueAt(plan, event.day, random);
      const value = plan.isMeter === true ? Math.max(drawn, before.at(-1)?.value ?? 0) : drawn;
      const limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null, ...plan.limits };
      scribe.add(work.finishedAt, { kind: 'reading', pointId, value, level: levelOf(value, limits) });
      this.latest.set(pointId, [...before, { at: work.finishedAt, value }].slice(-5));
    }
    for (const found of foundFaulty(round, work)) scribe.add(work.finishedAt, found);
    const remark = remarkOnPlanned(random);
    if (remark !== '') scribe.add(work.finishedAt, { kind: 'note', text: remark });
    scribe.sayNone();
    this.#addLabor(scribe, work, minutes, random);
    return scribe.finish();
  }

  #finishedWork(
    event: PastEvent,
    number: number,
    made: Pick<WorkOrder, 'kind' | 'title' | 'reason' | 'tradeId' | 'estimateMinutes' | 'urgency' | 'dueAt'> & {
      readonly startedAt: Instant;
      readonly finishedAt: Instant;
    },
  ): FinishedWork {
    const person = technicianOf(made.tradeId);
    const isAccepted = made.finishedAt < addMinutes(this.#now, -ACCEPTED_AFTER_DAYS * 1440);
    return {
      ...made,
      id: asId<WorkOrderId>(`w-${number}`),
      number: `W-${number}`,
      siteId: event.asset.siteId,
      assetId: event.asset.id,
      placeId: event.asset.placeId,
      state: isAccepted ? 'accepted' : 'finished',
      personIds: [person.id],
      crewId: null,
      previousAssignees: null,
      hazards: [],
      kit: [],
      tools: [],
      isolation: [],
      createdAt: event.at,
      finishedBy: person.id,
      closedAt: isAccepted ? addMinutes(made.finishedAt, 900) : null,
      held: null,
      handedBack: null,
      lastTransition: null,
      cameFrom: null,
    };
  }

  #takePart(scribe: Scribe, number: string, quantity: number, at: Instant): void {
    const shelf = shelfOf(number);
    const unitPrice = { minor: shelf.plan.priceMinor, currency: settings.currency };
    const cost = partCost(quantity, unitPrice);
    const entry = scribe.add(at, {
      kind: 'part',
      partId: partIdOf(number),
      binId: shelf.bin.id,
      quantity,
      unitPrice,
      cost,
    });
    this.#stockroom.use(shelf, quantity, at, { workOrderId: entry.workOrderId, entryId: entry.id });
  }

  #addLabor(scribe: Scribe, work: FinishedWork, minutes: number, random: Random): void {
    const person = technicianOf(work.tradeId);
    const timeType = random.chance(0.06) ? 'overtime' : 'regular';
    const rate = laborRateOf(person.tradeId);
    scribe.add(work.finishedAt, {
      kind: 'labor',
      personId: person.id,
      startedAt: work.startedAt,
      minutes,
      timeType,
      rate,
      cost: laborCost(minutes, timeType, rate),
    });
    if (minutes < 150 || !random.chance(0.4)) return;
    const mate = technicianOf(work.tradeId === 'mechanical' ? 'rope' : 'mechanical');
    const shorter = Math.round(minutes * 0.6);
    const ofMate = laborRateOf(mate.tradeId);
    scribe.add(work.finishedAt, {
      kind: 'labor',
      personId: mate.id,
      startedAt: work.startedAt,
      minutes: shorter,
      timeType: 'regular',
      rate: ofMate,
      cost: laborCost(shorter, 'regular', ofMate),
    });
  }
}

type FinishedWork = WorkOrder & { readonly startedAt: Instant; readonly finishedAt: Instant };

/** Of a hundred jobs without parts, so many say so. */
const SAID_NONE = 0.8;

/** Collects the entries of one work order. */
class Scribe {
  readonly #work: FinishedWork;
  readonly #entries: Entry[] = [];

  constructor(work: FinishedWork) {
    this.#work = work;
  }

  add(at: Instant, content: EntryContent): Entry {
    const entry: Entry = {
      id: asId<EntryId>(`${this.#work.id}-e${this.#entries.length + 1}`),
      siteId: this.#work.siteId,
      workOrderId: this.#work.id,
      assetId: this.#work.assetId,
      at,
      by: content.kind === 'labor' ? content.personId : (this.#work.finishedBy ?? tess.id),
      amends: null,
      content,
    };
    this.#entries.push(entry);
    return entry;
  }

  /** Of what nothing is recorded, most say that there was none; the others say nothing. */
  sayNone(): void {
    const random = randomFor(`none ${this.#work.id}`);
    for (const what of ['part', 'stoppage'] as const) {
      const isRecorded = this.#entries.some(({ content }) => content.kind === what);
      if (!isRecorded && random.chance(SAID_NONE)) this.add(this.#work.finishedAt, { kind: 'none', of: what });
    }
  }

  finish(): PastWork {
    this.add(this.#work.finishedAt, { kind: 'state', from: 'underway', to: 'finished', reason: '' });
    return { work: this.#work, entries: this.#entries };
  }
}
