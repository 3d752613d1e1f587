import type { RoundStanding } from '@oilcan/core/rounds';

/** How a round stands in a few words: “stop 4 of 12, 3 faulty”. */
export function roundWords({ stops, next, faulty }: RoundStanding): string {
  const at = next === null ? `all ${stops.length} stops done` : `stop ${next.number} of ${stops.length}`;
  return faulty === 0 ? at : `${at}, ${faulty} faulty`;
}
