import { instantFromMillis, startOfDay, toMillis } from '@oilcan/core/kernel';
import { SETTINGS_ID } from '@oilcan/core/orders/settings';
import type { Knex } from 'knex';
import { readRow, type StoredRow } from '../database/sql-records';
import { foldFeed } from './fold-feed';
import { foldLog, forgetEarlyCopies, forgetLentNumbers } from './fold-log';
import { dropEndedFollows } from './drop-ended-follows';
import { forgetClockPlaces, forgetMails, forgetNotices } from './forget-rows';
import { renewPast } from './renew-past';
import type { Retention } from './retention';

/** Everything that is kept small by night, or brought up to date. */
const retentions: readonly Retention[] = [
  dropEndedFollows,
  forgetNotices,
  forgetClockPlaces,
  forgetMails,
  foldFeed,
  foldLog,
  forgetEarlyCopies,
  forgetLentNumbers,
  renewPast,
];

const BEGAN = 'retention_began';
const HOUR_MILLISECONDS = 3_600_000;
/** By the clock of the settings: from the first of these hours until before the second. */
const NIGHT = { from: 1, to: 5 };
/** Not twice in one night. */
const APART_MILLISECONDS = 20 * HOUR_MILLISECONDS;
/** A server that never runs by night does it by day. */
const OVERDUE_MILLISECONDS = 48 * HOUR_MILLISECONDS;
/** After each step others have their turn for so many times as long as it took. */
const PAUSE_SHARE = 4;

/**
 * Whether it is time, and nobody else has begun; then it is noted as begun. The first look of a new database only notes the time.
 */
export async function beginsNow(database: Knex, nowMillis: number): Promise<boolean> {
  const noted: { value: number | string } | undefined = await database('counters').where('name', BEGAN).first();
  const began = Number(noted?.value ?? 0);
  const since = nowMillis - began;
  if (since < APART_MILLISECONDS) return false;
  if (began > 0 && since < OVERDUE_MILLISECONDS && !(await isNight(database, nowMillis))) return false;
  const claimed = await database('counters').where({ name: BEGAN, value: began }).update({ value: nowMillis });
  return began > 0 && claimed > 0;
}

async function isNight(database: Knex, nowMillis: number): Promise<boolean> {
  const stored: StoredRow | undefined = await database<StoredRow>('settings').where('id', SETTINGS_ID).first();
  const zone = stored === undefined ? 'UTC' : readRow('settings', stored).zone;
  const hour = (nowMillis - toMillis(startOfDay(instantFromMillis(nowMillis), zone))) / HOUR_MILLISECONDS;
  return hour >= NIGHT.from && hour < NIGHT.to;
}

/**
 * Does all of it, step by step.
 *
 * @param pause waits so many milliseconds
 * @returns how many rows each changed
 */
export async function keepSmall(
  database: Knex,
  nowMillis: number,
  pause: (milliseconds: number) => Promise<void>,
): Promise<Readonly<Record<string, number>>> {
  const changed: Record<string, number> = {};
  for (const each of retentions) changed[each.name] = await stepByStep(database, each, nowMillis, pause);
  return changed;
}

/** Does one of it, and gives how many rows it changed. */
export async function stepByStep(
  database: Knex,
  { steps }: Retention,
  nowMillis: number,
  pause: (milliseconds: number) => Promise<void>,
): Promise<number> {
  let changed = 0;
  let began = performance.now();
  for await (const count of steps(database, instantFromMillis(nowMillis))) {
    changed += count;
    await pause((performance.now() - began) * PAUSE_SHARE);
    began = performance.now();
  }
  return changed;
}
