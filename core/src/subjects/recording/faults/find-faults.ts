import { failureModes, nameOfMode, type FailureMode } from './codes';
import { faultCatalogue } from './catalogue';
import type { PastFault } from './faults-entries';
import { plainWords } from './plain-words';

/** A fault as it is chosen: which part of the machine, and how it fails. */
export interface FaultChoice {
  /** In its own words; empty for the machine as a whole. */
  readonly component: string;
  readonly mode: FailureMode;
}

/**
 * What the class of equipment usually has, then every mode of the machine as a whole.
 *
 * @param catalogue of the organization; left out for the one that Oilcan brings
 */
export function faultChoices(
  equipmentClass: string,
  catalogue: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = faultCatalogue,
): FaultChoice[] {
  const known = Object.hasOwn(catalogue, equipmentClass) ? (catalogue[equipmentClass] ?? {}) : {};
  const ofClass = Object.entries(known).flatMap(([component, modes]) =>
    modes.filter(isMode).map((mode) => ({ component, mode })),
  );
  const ofWhole = (Object.keys(failureModes) as FailureMode[]).map((mode) => ({ component: '', mode }));
  return [...ofClass, ...ofWhole];
}

/**
 * The choices that fit what was typed in plain words, the best first: each word must begin a word of the part, of the mode, of its
 * code or of what people say for it. “leaks” finds external leakage of either medium and internal leakage.
 */
export function findFaults(choices: readonly FaultChoice[], typed: string): FaultChoice[] {
  const wanted = wordsOf(typed);
  if (wanted.length === 0) return [...choices];
  return choices
    .map((choice, index) => ({ choice, index, score: scoreOf(choice, wanted) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.index - b.index)
    .map(({ choice }) => choice);
}

/** A word in the part or the name counts more than one that people also say. */
function scoreOf({ component, mode }: FaultChoice, wanted: readonly string[]): number {
  const named = wordsOf(`${component} ${mode} ${nameOfMode(mode)}`);
  const said = wordsOf(plainWords[mode]);
  let score = 0;
  for (const word of wanted) {
    if (named.some((each) => each.startsWith(word))) score += 3;
    else if (said.some((each) => each.startsWith(word))) score += 2;
    else return 0;
  }
  return score;
}

/** Words without their endings: leaks, leaking and leak are one. */
function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map((word) => (word.length > 4 ? word.replace(/(ages?|ing|ed|es|s)$/, '') : word));
}

/** A fault that a machine had before, and how often. */
export interface UsualFault extends PastFault, FaultChoice {
  readonly mode: FailureMode;
  readonly count: number;
}

/** The faults that a machine had, the most frequent first, of these the latest; each with the codes that it had last. */
export function usualFaults(faults: readonly { readonly at: string; readonly fault: PastFault }[]): UsualFault[] {
  const found = new Map<string, { last: string; usual: UsualFault }>();
  for (const { at, fault } of [...faults].sort((a, b) => (a.at < b.at ? -1 : 1))) {
    if (!isMode(fault.mode)) continue;
    const key = `${fault.component.toLowerCase()} ${fault.mode}`;
    const before = found.get(key)?.usual.count ?? 0;
    found.set(key, { last: at, usual: { ...fault, mode: fault.mode, count: before + 1 } });
  }
  return [...found.values()]
    .sort((a, b) => b.usual.count - a.usual.count || (a.last > b.last ? -1 : 1))
    .map(({ usual }) => usual);
}

/** Whether the standard has this mode: older records may have others. */
export function isMode(code: string): code is FailureMode {
  return Object.hasOwn(failureModes, code);
}
