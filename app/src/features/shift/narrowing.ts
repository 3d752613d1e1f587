import { workStates, urgencies, workKinds, type WorkOrder } from '@oilcan/core/work';
import { kindWords, stateWords, urgencyWords } from '../../words/work-words';

/** What the list is narrowed to: for each aspect the values that are wanted, none for all. */
export interface Narrowing {
  readonly urgency: readonly string[];
  readonly kind: readonly string[];
  readonly trade: readonly string[];
  readonly state: readonly string[];
  readonly place: readonly string[];
}

export type Aspect = keyof Narrowing;

export const everything: Narrowing = { urgency: [], kind: [], trade: [], state: [], place: [] };

const aspects = Object.keys(everything) as readonly Aspect[];

/** What a work order is in each aspect. */
const valueOf: Readonly<Record<Aspect, (work: WorkOrder) => string>> = {
  urgency: (work) => work.urgency,
  kind: (work) => work.kind,
  trade: (work) => work.tradeId,
  state: (work) => work.state,
  place: (work) => work.placeId,
};

/** Whether a work order is among those that are wanted. */
export function isWithin(work: WorkOrder, narrowing: Narrowing): boolean {
  return aspects.every((aspect) => narrowing[aspect].length === 0 || narrowing[aspect].includes(valueOf[aspect](work)));
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

/** The word for a value: of a trade or a place its name. */
export interface NarrowWords {
  readonly trade: (id: string) => string | undefined;
  readonly place: (id: string) => string | undefined;
}

export interface AspectChoices {
  readonly aspect: Aspect;
  readonly word: string;
  readonly choices: readonly { readonly value: string; readonly word: string; readonly count: number }[];
}

/** What there is to choose from among these work orders, with how many each; an aspect with one value is left out. */
export function choicesAmong(works: readonly WorkOrder[], narrowing: Narrowing, words: NarrowWords): AspectChoices[] {
  const wordOf: Readonly<Record<Aspect, (value: string) => string>> = {
    urgency: (value) => urgencyWords[value as WorkOrder['urgency']],
    kind: (value) => kindWords[value as WorkOrder['kind']],
    state: (value) => stateWords[value as WorkOrder['state']],
    trade: (value) => words.trade(value) ?? value,
    place: (value) => words.place(value) ?? value,
  };
  return (
    [
      ['urgency', 'Urgency', urgencies],
      ['place', 'Place', null],
      ['kind', 'Kind', workKinds],
      ['trade', 'Trade', null],
      ['state', 'State', workStates],
    ] as const
  ).flatMap(([aspect, word, order]): AspectChoices[] => {
    const counts = new Map<string, number>(narrowing[aspect].map((value) => [value, 0]));
    for (const work of works) counts.set(valueOf[aspect](work), (counts.get(valueOf[aspect](work)) ?? 0) + 1);
    if (counts.size < 2) return [];
    const choices = [...counts].map(([value, count]) => ({ value, word: wordOf[aspect](value), count }));
    const rank = (value: string): number => order?.findIndex((each) => each === value) ?? 0;
    choices.sort((a, b) => rank(a.value) - rank(b.value) || a.word.localeCompare(b.word));
    return [{ aspect, word, choices }];
  });
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
