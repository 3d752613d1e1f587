import ical, { ICalCalendarMethod } from 'ical-generator';
import { addDays, addMinutes, type Instant } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { isOpen, type Urgency, type WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { audiencesOfGiven } from '../database/feed/audiences';
import { readRow, type StoredRow } from '../database/sql-records';

/** A job without an estimate takes so long on a calendar. */
const USUAL_MINUTES = 30;

const urgencyWords: Readonly<Record<Urgency, string>> = {
  now: 'Now',
  shift: 'This shift',
  week: 'This week',
  free: 'When free',
};

/** RFC 5545, 3.8.1.9: 1 is the highest, 5 in the middle, 9 the lowest. */
const priorities: Readonly<Record<Urgency, number>> = { now: 1, shift: 3, week: 5, free: 9 };

/** Open work of a person and of their crews that has a day: due, or planned for one. */
export async function dueWorkOf(database: Knex, person: Person): Promise<WorkOrder[]> {
  const crews: StoredRow[] = await database<StoredRow>('crews').select('body');
  const mine = crews.map((row) => readRow('crews', row)).filter(({ memberIds }) => memberIds.includes(person.id));
  const audiences = audiencesOfGiven([person.id, ...mine.map(({ id }) => id)], person.siteIds);
  const given = database('work_audiences').whereIn('audience', audiences);
  const stored: StoredRow[] = await database<StoredRow>('work_orders')
    .whereIn('id', given.select('work_order'))
    .whereIn('site', [...person.siteIds])
    .select('body');
  return stored
    .map((row) => readRow('workOrders', row))
    .filter(({ state, dueAt, plannedOn }) => isOpen(state) && (dueAt !== null || plannedOn != null))
    .sort((a, b) => (a.id < b.id ? -1 : 1));
}

/**
 * Work as a calendar (RFC 5545): what is planned for a day stands on that day; else it ends when it is due and begins as long
 * before as it should take.
 *
 * @param address of this Oilcan, to which each event leads
 */
export async function calendarOf(
  database: Knex,
  works: readonly WorkOrder[],
  { person, address, now }: { readonly person: Person; readonly address: string; readonly now: Instant },
): Promise<string> {
  const calendar = ical({ name: `Oilcan: due work of ${person.name}`, method: ICalCalendarMethod.PUBLISH });
  calendar.prodId({ company: 'Oilcan', product: 'due work', language: 'EN' });
  calendar.ttl(3_600);
  for (const work of works) {
    const [asset, place] = await Promise.all([
      nameIn(database, 'assets', work.assetId),
      nameIn(database, 'places', work.placeId),
    ]);
    calendar.createEvent({
      id: `${work.id}@oilcan`,
      stamp: new Date(now),
      ...timesOf(work),
      summary: `${work.number} ${work.title}`,
      description: [asset, urgencyWords[work.urgency], work.reason].filter((each) => each !== '').join('\n'),
      location: place,
      url: `${address}/shift/${work.id}`,
      priority: priorities[work.urgency],
    });
  }
  return calendar.toString();
}

function timesOf({ plannedOn, dueAt, estimateMinutes }: WorkOrder): { start: Date; end: Date; allDay?: boolean } {
  if (plannedOn != null) return { start: new Date(plannedOn), end: new Date(addDays(plannedOn, 1)), allDay: true };
  const end = dueAt ?? ('1970-01-01T00:00:00.000Z' as Instant);
  const minutes = estimateMinutes === 0 ? USUAL_MINUTES : estimateMinutes;
  return { start: new Date(addMinutes(end, -minutes)), end: new Date(end) };
}

async function nameIn(database: Knex, table: 'assets' | 'places', id: string): Promise<string> {
  const stored: { body: string } | undefined = await database(table).where('id', id).first('body');
  return stored === undefined ? '' : (JSON.parse(stored.body) as { name: string }).name;
}
