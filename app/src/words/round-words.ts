import type { RoundStanding } from '@oilcan/core/steps/rounds';

/** How far a round is: “3 of 12 stops done”. */
export function doneWords({ stops }: RoundStanding): string {
  return `${stops.filter(({ isDone }) => isDone).length} of ${stops.length} stops done`;
}

/** How a round stands in a few words: “stop 4 of 12, 3 faulty”. */
export function roundWords({ stops, next, faulty }: RoundStanding): string {
  const at = next === null ? `all ${stops.length} stops done` : `stop ${next.number} of ${stops.length}`;
  return faulty === 0 ? at : `${at}, ${faulty} faulty`;
}
