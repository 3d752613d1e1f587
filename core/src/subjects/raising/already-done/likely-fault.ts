import { findFaults, type FaultChoice } from '../../recording/faults/find-faults';

/** Words that say nothing of what failed. */
const SHORTEST = 3;

/**
 * The fault that words name: of the faults that the machine had, else of those that its class can have. It is only named where a word
 * says how it failed (“replaced” says nothing of it), and where one fits better than all others; else null, and somebody is asked.
 *
 * @param words what was wrong, without what is denied
 */
export function likelyFault(
  words: string,
  usual: readonly FaultChoice[],
  ofClass: readonly FaultChoice[],
): FaultChoice | null {
  const said = words.split(/[^\p{L}\p{N}]+/u).filter((word) => word.length >= SHORTEST);
  return onlyBestOf(said, usual) ?? onlyBestOf(said, ofClass);
}

/** How it failed counts as much as what failed; both together more than either. */
function onlyBestOf(said: readonly string[], choices: readonly FaultChoice[]): FaultChoice | null {
  let best: FaultChoice | null = null;
  let most = 0;
  let isOnly = false;
  for (const choice of choices) {
    const how = said.filter((word) => !isOfPart(choice, word) && saysHow(choice, word)).length;
    const what = said.filter((word) => isOfPart(choice, word)).length;
    // A part that is not named is a guess; the machine as a whole is none.
    const fits = how === 0 || (what === 0 && choice.component !== '') ? 0 : how + 2 * what;
    if (fits === 0 || fits < most) continue;
    isOnly = fits > most;
    if (isOnly) [best, most] = [choice, fits];
  }
  return isOnly ? best : null;
}

/** Whether a word is of how it failed, whatever the part. */
const saysHow = ({ mode }: FaultChoice, word: string): boolean =>
  word.length > SHORTEST || word.toLowerCase() === 'hot'
    ? findFaults([{ component: '', mode }], word).length > 0
    : false;

const isOfPart = ({ component }: FaultChoice, word: string): boolean =>
  component
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .some(
      (each) =>
        each === word.toLowerCase() || (word.length > SHORTEST && each.startsWith(word.toLowerCase().slice(0, 5))),
    );
