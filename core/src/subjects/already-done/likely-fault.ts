import { findFaults, type FaultChoice } from '../faults/find-faults';

/** Words that say nothing of what failed. */
const SHORTEST = 4;

/**
 * The fault that words most likely name: of the faults that the machine had, else of those that its class can have, the one that most
 * of the words fit. Null where none fits.
 */
export function likelyFault(
  words: string,
  usual: readonly FaultChoice[],
  ofClass: readonly FaultChoice[],
): FaultChoice | null {
  const said = words.split(/[^\p{L}\p{N}]+/u).filter((word) => word.length >= SHORTEST);
  return bestOf(said, usual) ?? bestOf(said, ofClass);
}

function bestOf(said: readonly string[], choices: readonly FaultChoice[]): FaultChoice | null {
  let best: FaultChoice | null = null;
  let most = 0;
  for (const choice of choices) {
    // A word that names the part says more than one that people also say for how it fails.
    const fits = said.reduce((sum, word) => {
      if (findFaults([choice], word).length === 0) return sum;
      return sum + (isOfPart(choice, word) ? 2 : 1);
    }, 0);
    if (fits > most) [best, most] = [choice, fits];
  }
  return best;
}

const isOfPart = ({ component }: FaultChoice, word: string): boolean =>
  component
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .some((each) => each.startsWith(word.toLowerCase().slice(0, 5)));
