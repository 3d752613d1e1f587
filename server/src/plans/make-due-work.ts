import {
  addDays,
  asId,
  instantFromMillis,
  localDate,
  type Instant,
  type LocalDay,
  type PersonId,
} from '@oilcan/core/kernel';
import { metersOf, nextDue, nextOn, putPlannedWork, zoneOf, type Plan } from '@oilcan/core/finishing/plans';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { StagedRecords } from '@oilcan/core/records';
import type { Knex } from 'knex';
import { currentRevision } from '../database/revisions';
import type { Audience } from '../database/feed/audiences';
import { readRow, SqlRecords, type StoredRow } from '../database/sql-records';
import { runnerOf } from '../database/statements';
import { loggedByNobody, writeLog, type NewlyLogged } from '../log/operation-log';
import { noticesOfPush } from '../notices/notices-of-push';
import { takeNumbers } from '../numbers/reserve-numbers';

/** So many plans are read and looked at before others have their turn. */
const PLANS_AT_ONCE = 200;
const HOUR_MILLISECONDS = 3_600_000;

/** Whom the work orders are by that nobody made. */
const nobody = asId<PersonId>('');

export interface DueWorkMade {
  readonly revision: number;
  readonly concerned: ReadonlySet<Audience>;
}

interface Due {
  readonly plan: Plan;
  readonly dueOn: LocalDay;
}

/**
 * Makes the work orders of plans whose time has come: once each, however many servers, restarts and clocks set back try, since
 * whether one is open and how many were made stand in the plan, which is read again in the transaction that makes the next.
 * Looks again only when an hour began or a plan changed.
 */
export class DueWork {
  readonly #database: Knex;
  readonly #onBadPlan: (plan: Plan, error: unknown) => void;
  #lookedAt = '';

  constructor(database: Knex, onBadPlan: (plan: Plan, error: unknown) => void) {
    this.#database = database;
    this.#onBadPlan = onBadPlan;
  }

  /** Gives the revision after it, and whom it concerns; null where nothing was made. */
  async make(nowMillis: number): Promise<DueWorkMade | null> {
    const newest: { newest?: number | string | null } | undefined = await this.#database('plans')
      .max({ newest: 'revision' })
      .first();
    const state = `${Math.floor(nowMillis / HOUR_MILLISECONDS)} ${newest?.newest ?? 0}`;
    if (state === this.#lookedAt) return null;
    const now = instantFromMillis(nowMillis);
    const made = await this.#makeAll(await this.#findDue(now), now);
    this.#lookedAt = state;
    return made;
  }

  async #findDue(now: Instant): Promise<Due[]> {
    const zones = new Map<string, string | null>();
    const due: Due[] = [];
    for (let after = ''; ;) {
      const stored: StoredRow[] = await this.#database<StoredRow>('plans')
        .where('id', '>', after)
        .orderBy('id')
        .limit(PLANS_AT_ONCE)
        .select('id', 'body');
      const plans = stored.map((row) => readRow('plans', row)).filter(({ open }) => open === null);
      const points = await this.#pointsOf(plans);
      for (const plan of plans) {
        if (!zones.has(plan.siteId)) zones.set(plan.siteId, await this.#zoneAt(plan));
        const zone = zones.get(plan.siteId) ?? null;
        const dueOn = zone === null ? null : this.#dueDayOf(plan, points, zone, localDate(now, zone));
        if (dueOn !== null) due.push({ plan, dueOn });
      }
      if (stored.length < PLANS_AT_ONCE) return due;
      after = stored.at(-1)?.id ?? '';
    }
  }

  /** The day on which it is due, where its work order has to be there by now. */
  #dueDayOf(plan: Plan, points: ReadonlyMap<string, MeasuringPoint>, zone: string, today: LocalDay): LocalDay | null {
    try {
      const due = nextDue(plan, (id) => points.get(id), zone, nextOn);
      return due !== null && addDays(due.on, -plan.leadDays) <= today ? due.on : null;
    } catch (error) {
      this.#onBadPlan(plan, error);
      return null;
    }
  }

  async #pointsOf(plans: readonly Plan[]): Promise<ReadonlyMap<string, MeasuringPoint>> {
    const ids = plans.flatMap(metersOf);
    if (ids.length === 0) return new Map();
    const stored: StoredRow[] = await this.#database<StoredRow>('points').whereIn('id', ids).select('body');
    return new Map(stored.map((row) => readRow('points', row)).map((point) => [point.id, point]));
  }

  #zoneAt(plan: Plan): Promise<string | null> {
    return this.#database.transaction((transaction) => zoneOf(new SqlRecords(transaction), plan));
  }

  async #makeAll(due: readonly Due[], now: Instant): Promise<DueWorkMade | null> {
    if (due.length === 0) return null;
    return this.#database.transaction(async (transaction) => {
      const records = new SqlRecords(transaction);
      const batch = new StagedRecords(records);
      const log: NewlyLogged[] = [];
      for (const { plan, dueOn } of due) {
        const current = await records.get('plans', plan.id);
        if (current === undefined || current.open !== null || current.made !== plan.made) continue;
        const asset = await records.get('assets', current.assetId);
        if (asset === undefined || asset.retiredOn !== undefined) continue;
        const [number] = await takeNumbers(transaction, 'workOrder', 1);
        if (number === undefined) continue;
        const one = new StagedRecords(batch);
        await putPlannedWork(one, current, { dueOn, number, at: now, personIds: current.personIds });
        log.push(await loggedByNobody('plan.make', one.changes(), batch, { planId: current.id, dueOn, number }, now));
        batch.absorb(one.changes());
      }
      const changes = batch.changes();
      if (changes.length === 0) return null;
      const told = await noticesOfPush(transaction, records, changes, nobody, now);
      await records.write([...changes, ...told]);
      const revision = await currentRevision(transaction);
      await writeLog(await runnerOf(transaction), log, now, revision);
      return { revision, concerned: records.audience };
    });
  }
}
