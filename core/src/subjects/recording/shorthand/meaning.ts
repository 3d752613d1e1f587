import type { PartId, PointId } from '../../../kernel/ids';
import { findFaults, type FaultChoice } from '../faults/find-faults';
import type { MeasuringPoint } from '../../plant/plant/plant';
import type { Part } from '../../stores/stock/stock';
import type { Phrase, PlacedPhrase, Unread } from './phrase';

/** What a line of shorthand is understood by. */
export interface ShorthandContext {
  /** All parts that there are. */
  readonly parts: readonly Part[];
  /** Those that this job likely needs, the likeliest first. */
  readonly likelyParts: readonly PartId[];
  /** The points of the machine. */
  readonly points: readonly MeasuringPoint[];
  /** The faults that this machine had, the most frequent first. */
  readonly usualFaults: readonly FaultChoice[];
  /** All faults that its class can have. */
  readonly faults: readonly FaultChoice[];
}

/** Something that several things fit. */
export interface Choice {
  /** As it is shown: a number, a name. */
  readonly label: string;
  /** The phrase that says exactly this one. */
  readonly phrase: Phrase;
}

/** What one phrase means; where several fit, which; where none does, that. */
export type Meaning = { readonly placed: PlacedPhrase } & (
  | { readonly is: 'plain' }
  | { readonly is: 'part'; readonly partId: PartId }
  | { readonly is: 'fault'; readonly fault: FaultChoice; readonly others: readonly Choice[] }
  | { readonly is: 'point'; readonly pointId: PointId }
  | { readonly is: 'several'; readonly count: number; readonly choices: readonly Choice[] }
  | { readonly is: 'nothing' }
  | { readonly is: 'unread'; readonly because: Unread }
);

/** So many of those that fit are named. */
const MOST_NAMED = 5;

/** What each phrase of a line means here. */
export function meaningsOf(phrases: readonly PlacedPhrase[], context: ShorthandContext): Meaning[] {
  return phrases.map((placed): Meaning => {
    const { phrase } = placed;
    switch (phrase.is) {
      case 'part':
        return { placed, ...partMeant(phrase, context) };
      case 'fault':
        return { placed, ...faultMeant(phrase, context) };
      case 'reading':
        return { placed, ...pointMeant(phrase, context) };
      case 'unread':
        return { placed, is: 'unread', because: phrase.because };
      default:
        return { placed, is: 'plain' };
    }
  });
}

type Meant<M = Meaning> = M extends Meaning ? Omit<M, 'placed'> : never;
type PartPhrase = Extract<Phrase, { is: 'part' }>;
type FaultPhrase = Extract<Phrase, { is: 'fault' }>;
type ReadingPhrase = Extract<Phrase, { is: 'reading' }>;

function partMeant(phrase: PartPhrase, context: ShorthandContext): Meant {
  const found = fittingParts(phrase.words, context);
  const [only] = found;
  if (only === undefined) return { is: 'nothing' };
  const likely = found.filter(({ id }) => context.likelyParts.includes(id));
  const isExact = only.number.toLowerCase() === phrase.words.toLowerCase();
  if (isExact || found.length === 1) return { is: 'part', partId: only.id };
  if (likely.length === 1 && likely[0] !== undefined) return { is: 'part', partId: likely[0].id };
  return several(found, ({ number }) => ({ label: number, phrase: { ...phrase, words: number } }));
}

/** The parts whose number or name holds every word: one of just this number, then the likely ones, then by number. */
export function fittingParts(words: string, { parts, likelyParts }: ShorthandContext): Part[] {
  const wanted = words.toLowerCase().split(' ').filter(Boolean);
  const found = textsOf(parts).filter(({ text }) => wanted.every((word) => text.includes(word)));
  const whole = words.toLowerCase();
  const rank = ({ part }: TextOfPart): number => {
    const number = part.number.toLowerCase();
    const likely = likelyParts.indexOf(part.id);
    if (number === whole) return -2 * parts.length;
    if (likely >= 0) return likely - parts.length;
    return number.startsWith(wanted[0] ?? '') ? 0 : 1;
  };
  return found
    .map((each) => ({ each, rank: rank(each) }))
    .sort((a, b) => a.rank - b.rank || (a.each.part.number < b.each.part.number ? -1 : 1))
    .map(({ each }) => each.part);
}

interface TextOfPart {
  readonly part: Part;
  readonly text: string;
}

/** The words of all parts in lower case, put together once for a list of them. */
const texts = new WeakMap<readonly Part[], readonly TextOfPart[]>();

function textsOf(parts: readonly Part[]): readonly TextOfPart[] {
  const known = texts.get(parts);
  if (known !== undefined) return known;
  const made = parts.map((part) => ({ part, text: `${part.number} ${part.name}`.toLowerCase() }));
  texts.set(parts, made);
  return made;
}

function faultMeant(phrase: FaultPhrase, { usualFaults, faults }: ShorthandContext): Meant {
  const exact = [...usualFaults, ...faults].find((choice) => wordsOfFault(choice) === phrase.words.toLowerCase());
  const usual = findFaults(usualFaults, phrase.words);
  const [fault] = exact === undefined ? usual : [exact];
  const choiceOf = (choice: FaultChoice): Choice => ({
    label: wordsOfFault(choice).toUpperCase(),
    phrase: { ...phrase, words: wordsOfFault(choice) },
  });
  if (fault !== undefined) {
    const others = usual.filter((each) => wordsOfFault(each) !== wordsOfFault(fault)).slice(0, MOST_NAMED);
    return { is: 'fault', fault, others: exact === undefined ? others.map(choiceOf) : [] };
  }
  const found = findFaults(faults, phrase.words);
  const [only] = found;
  if (only === undefined) return { is: 'nothing' };
  return found.length === 1 ? { is: 'fault', fault: only, others: [] } : several(found, choiceOf);
}

/** The words that say exactly this fault: `seal elu`. */
export function wordsOfFault({ component, mode }: FaultChoice): string {
  return `${component} ${mode}`.toLowerCase().replace(/[";]/g, '').replace(/\s+/g, ' ').trim();
}

function pointMeant(phrase: ReadingPhrase, { points }: ShorthandContext): Meant {
  const found = fittingPoints(phrase.words, points);
  const exact = found.find(({ name }) => name.toLowerCase() === phrase.words.toLowerCase());
  const [only] = found;
  if (only === undefined) return { is: 'nothing' };
  if (exact !== undefined || found.length === 1) return { is: 'point', pointId: (exact ?? only).id };
  return several(found, ({ name }) => ({ label: name, phrase: { ...phrase, words: name.replace(/[";]/g, '') } }));
}

/** The points whose name has a word that begins with each of these. */
export function fittingPoints(words: string, points: readonly MeasuringPoint[]): MeasuringPoint[] {
  const wanted = words.toLowerCase().split(' ').filter(Boolean);
  return points.filter(({ name, derived }) => {
    const named = name.toLowerCase().split(/[^\p{L}\p{N}]+/u);
    return derived === undefined && wanted.every((word) => named.some((each) => each.startsWith(word)));
  });
}

function several<T>(found: readonly T[], choiceOf: (one: T) => Choice): Meant {
  return { is: 'several', count: found.length, choices: found.slice(0, MOST_NAMED).map(choiceOf) };
}
