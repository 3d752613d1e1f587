import { addDays, isLocalDay, localDate, type Instant, type Zone } from '@oilcan/core/kernel';
import { timeMarksOf } from '@oilcan/core/finishing/shift';
import { workStates, urgencies, workKinds, type WorkOrder } from '@oilcan/core/orders/work';
import { kindWords, stateWords, urgencyWords } from '../../../words/work-words';

/** What the list is narrowed to: for each aspect the values that are wanted, none for all. */
export interface Narrowing {
  readonly urgency: readonly string[];
  readonly kind: readonly string[];
  readonly trade: readonly string[];
  readonly state: readonly string[];
  readonly place: readonly string[];
  /** Late, today, within the week, put off, or a day. */
  readonly time: readonly string[];
}

export type Aspect = keyof Narrowing;

export const everything: Narrowing = { urgency: [], kind: [], trade: [], state: [], place: [], time: [] };

const aspects = Object.keys(everything) as readonly Aspect[];

/** When and where somebody looks. */
export interface Present {
  readonly now: Instant;
  readonly zone: Zone;
}

/** What a work order is in each aspect; by time it may be several things at once. */
const valuesOf: Readonly<Record<Aspect, (work: WorkOrder, present: Present) => readonly string[]>> = {
  urgency: (work) => [work.urgency],
  kind: (work) => [work.kind],
  trade: (work) => [work.tradeId],
  state: (work) => [work.state],
  place: (work) => [work.placeId],
  time: (work, { now, zone }) => timeMarksOf(work, now, zone),
};

/** Whether a work order is among those that are wanted. */
export function isWithin(work: WorkOrder, narrowing: Narrowing, present: Present): boolean {
  return aspects.every((aspect) => {
    const wanted = narrowing[aspect];
    return wanted.length === 0 || valuesOf[aspect](work, present).some((value) => wanted.includes(value));
  });
}

/** Whether work that is put off is asked for: as such, or by a day. */
export function wantsPutOff({ time }: Narrowing): boolean {
  return time.some((value) => value === 'putOff' || /^\d/.test(value));
}

export function isNarrowed(narrowing: Narrowing): boolean {
  return aspects.some((aspect) => narrowing[aspect].length > 0);
}

/** With one value wanted, or not wanted any more. */
export function toggled(narrowing: Narrowing, aspect: Aspect, value: string): Narrowing {
  const before = narrowing[aspect];
  const after = before.includes(value) ? before.filter((each) => each !== value) : [...before, value];
  return { ...narrowing, [aspect]: after };
}

/** So many days from today are offered one by one. */
const DAYS_OFFERED = 7;
const times = ['late', 'today', 'week', 'putOff'] as const;
const timeWords: Readonly<Record<string, string>> = {
  late: 'Late',
  today: 'Today',
  week: 'Within a week',
  putOff: 'Put off',
};

/** The word for a value: of a trade or a place its name. */
export interface NarrowWords {
  readonly trade: (id: string) => string | undefined;
  readonly place: (id: string) => string | undefined;
  readonly day: (day: string) => string;
}

export interface AspectChoices {
  readonly aspect: Aspect;
  readonly word: string;
  readonly choices: readonly { readonly value: string; readonly word: string; readonly count: number }[];
}

/** What there is to choose from among these work orders, with how many each; an aspect with one value is left out. */
export function choicesAmong(
  works: readonly WorkOrder[],
  narrowing: Narrowing,
  words: NarrowWords,
  present: Present,
): AspectChoices[] {
  const wordOf: Readonly<Record<Aspect, (value: string) => string>> = {
    urgency: (value) => urgencyWords[value as WorkOrder['urgency']],
    kind: (value) => kindWords[value as WorkOrder['kind']],
    state: (value) => stateWords[value as WorkOrder['state']],
    trade: (value) => words.trade(value) ?? value,
    place: (value) => words.place(value) ?? value,
    time: (value) => timeWords[value] ?? words.day(value),
  };
  return (
    [
      ['time', 'When', times],
      ['urgency', 'Urgency', urgencies],
      ['place', 'Place', null],
      ['kind', 'Kind', workKinds],
      ['trade', 'Trade', null],
      ['state', 'State', workStates],
    ] as const
  ).flatMap(([aspect, word, order]): AspectChoices[] => {
    const counts = new Map<string, number>(narrowing[aspect].map((value) => [value, 0]));
    for (const work of works)
      for (const value of valuesOf[aspect](work, present))
        if (isOffered(value, present)) counts.set(value, (counts.get(value) ?? 0) + 1);
    // Not all work is of some time, so one of those narrows it already.
    if (counts.size < (aspect === 'time' ? 1 : 2)) return [];
    const choices = [...counts].map(([value, count]) => ({ value, word: wordOf[aspect](value), count }));
    const rank = (value: string): number => {
      const place = order?.findIndex((each) => each === value) ?? 0;
      return place < 0 ? counts.size + times.length : place;
    };
    choices.sort(
      (a, b) =>
        rank(a.value) - rank(b.value) ||
        (aspect === 'time' ? a.value.localeCompare(b.value) : a.word.localeCompare(b.word)),
    );
    return [{ aspect, word, choices }];
  });
}

/** Of the days those that come within a week; today has its own word. */
function isOffered(value: string, { now, zone }: Present): boolean {
  if (!isLocalDay(value)) return true;
  const today = localDate(now, zone);
  return value > today && value <= addDays(today, DAYS_OFFERED);
}

/** What is wanted, in words: `Now, Corrective, Top station`. */
export function narrowedTo(narrowing: Narrowing, among: readonly AspectChoices[]): string {
  return among
    .flatMap(({ aspect, choices }) => choices.filter(({ value }) => narrowing[aspect].includes(value)))
    .map(({ word }) => word)
    .join(', ');
}

/** A narrowing as it was kept; anything else is none. */
export function readNarrowing(given: unknown): Narrowing {
  if (typeof given !== 'object' || given === null) return everything;
  const lists = aspects.map((aspect): [Aspect, string[]] => {
    const values: unknown = (given as Partial<Record<Aspect, unknown>>)[aspect];
    return [aspect, Array.isArray(values) ? values.filter((each): each is string => typeof each === 'string') : []];
  });
  return Object.fromEntries(lists) as unknown as Narrowing;
}
