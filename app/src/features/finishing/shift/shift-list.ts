import { formatDuration, type Instant } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import type { Crew, Person } from '@oilcan/core/plant/people';
import type { Asset, Place } from '@oilcan/core/plant/plant';
import { plannedMinutesFor, type Share } from '@oilcan/core/recording/shares';
import type { Settings } from '@oilcan/core/orders/settings';
import {
  compareForShift,
  isInSight,
  rankReasons,
  shiftGroupOf,
  shiftGroups,
  shiftTimes,
  type ShiftGroup,
} from '@oilcan/core/finishing/shift';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { counted } from '../../../words/work-words';
import { ownWork, inARow, reasonWords } from '../../orders/work/first-screen';
import { everything, isWithin, wantsPutOff, type Narrowing, type Present } from './narrowing';

/** What the list is made from. */
export interface ShiftRows {
  readonly workOrders: readonly WorkOrder[];
  readonly assets: ReadonlyMap<string, Asset>;
  readonly places: ReadonlyMap<string, Place>;
  readonly crews: ReadonlyMap<string, Crew>;
  readonly shares: readonly Share[];
}

/** In what order the list stands; `first`: what should be done first, in groups by when. */
export const shiftOrders = ['first', 'due', 'planned', 'place', 'number'] as const;
export type ShiftOrder = (typeof shiftOrders)[number];

export interface ShiftSection {
  /** Null where the list stands in another order. */
  readonly group: ShiftGroup | null;
  readonly data: readonly WorkOrder[];
  readonly estimateMinutes: number;
}

/** A work order in its order. */
export interface Listed {
  readonly work: WorkOrder;
  readonly group: ShiftGroup;
  /** How long it is planned for the person. */
  readonly plannedMinutes: number;
  readonly placeName: string;
}

/** The person's own work (a lead's: everybody's), what comes first first. Made once, whenever rows change. */
export function listedWork(rows: ShiftRows, person: Person, present: Instant, settings: Settings): Listed[] {
  const times = shiftTimes(present, settings.zone);
  const ranked = ownWork(rows, person)
    .filter((work) => isInSight(work, times))
    .map((work) => ({ work, asset: rows.assets.get(work.assetId) }));
  ranked.sort((a, b) => compareForShift(a, b, present));
  return ranked.map(({ work }) => ({
    work,
    group: shiftGroupOf(work, times),
    plannedMinutes: plannedFor(work, rows, person),
    placeName: rows.places.get(work.placeId)?.name ?? '',
  }));
}

/** What of the list is shown, and how. */
export interface Shown {
  readonly narrowing: Narrowing;
  readonly order: ShiftOrder;
}

/** What of it is wanted, in groups by when or in another order. What is put off shows only where it is asked for. */
export function sectionsAmong(
  listed: readonly Listed[],
  { narrowing, order }: Shown,
  present: Present,
): ShiftSection[] {
  const wanted = listed.filter(
    ({ work, group }) => (group !== 'putOff' || wantsPutOff(narrowing)) && isWithin(work, narrowing, present),
  );
  if (order !== 'first') return wanted.length === 0 ? [] : [sectionOf(null, [...wanted].sort(byOrder[order]))];
  return shiftGroups.flatMap((group) => {
    const within = wanted.filter((each) => each.group === group);
    return within.length === 0 ? [] : [sectionOf(group, within)];
  });
}

function sectionOf(group: ShiftGroup | null, listed: readonly Listed[]): ShiftSection {
  const estimateMinutes = listed.reduce((sum, { plannedMinutes }) => sum + plannedMinutes, 0);
  return { group, data: listed.map(({ work }) => work), estimateMinutes };
}

/** After every date there is. */
const NO_DATE = '9';
const compareTexts = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The other orders; what is alike in them stays as it should be done first. */
const byOrder: Readonly<Record<Exclude<ShiftOrder, 'first'>, (a: Listed, b: Listed) => number>> = {
  due: (a, b) => compareTexts(a.work.dueAt ?? NO_DATE, b.work.dueAt ?? NO_DATE),
  planned: (a, b) => compareTexts(a.work.plannedOn ?? NO_DATE, b.work.plannedOn ?? NO_DATE),
  place: (a, b) => a.placeName.localeCompare(b.placeName),
  number: (a, b) => a.work.number.localeCompare(b.work.number, undefined, { numeric: true }),
};

/** How many of them are put off. */
export function countPutOff(listed: readonly Listed[]): number {
  return listed.filter(({ group }) => group === 'putOff').length;
}

/** Both at once. */
export function shiftSections(
  rows: ShiftRows,
  person: Person,
  present: Instant,
  settings: Settings,
  narrowing: Narrowing = everything,
): ShiftSection[] {
  const listed = listedWork(rows, person, present, settings);
  return sectionsAmong(listed, { narrowing, order: 'first' }, { now: present, zone: settings.zone });
}

/** How long a job is planned for the person; a lead's list is everybody's, and has all of it. */
function plannedFor(work: WorkOrder, { shares, crews }: ShiftRows, person: Person): number {
  if (work.sharedWith === undefined || hasRole(person, ['lead'])) return work.estimateMinutes;
  const ofWork = shares.filter(({ workOrderId }) => workOrderId === work.id);
  return plannedMinutesFor(work, ofWork, person.id, crews.get(work.crewId ?? ''));
}

/** Worked out when it is first asked for. */
export function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** The answer before the rows: how much there is for this shift; a lead's list is everybody's. */
export function shiftHeadline(sections: readonly ShiftSection[], person: Person, settings: Settings): string {
  const today = sections.filter(({ group }) => group === 'now' || group === 'shift');
  const jobs = today.reduce((sum, { data }) => sum + data.length, 0);
  const minutes = today.reduce((sum, { estimateMinutes }) => sum + estimateMinutes, 0);
  if (jobs === 0) return 'Nothing due this shift';
  const load = `${counted(jobs, 'job', 'jobs')}, ${formatDuration(minutes)}`;
  if (hasRole(person, ['lead'])) return `${load} for everybody`;
  const shift = formatDuration(settings.shiftMinutes);
  return minutes > settings.shiftMinutes ? `${load} for your ${shift}` : `${load} of your ${shift}`;
}

const MOST_REASONS = 2;

/** Why the first job is the first. */
export function firstReason(
  sections: readonly ShiftSection[],
  assets: ReadonlyMap<string, Asset>,
  present: Instant,
  settings: Settings,
): string | null {
  const first = sections[0]?.data[0];
  if (first === undefined || !isOpen(first.state)) return null;
  const asset = assets.get(first.assetId);
  const reasons = rankReasons({ work: first, asset }, present, settings.zone)
    .filter(({ is }) => is === 'late' || is === 'condition')
    .map((reason) => reasonWords(reason, asset?.name ?? '', settings, present));
  if (first.urgency === 'now') reasons.unshift('it is needed now');
  if (reasons.length === 0) return null;
  // One line on a phone: the rest stands on the job.
  return `Start with ${first.number}: ${inARow(reasons.slice(0, MOST_REASONS))}.`;
}
