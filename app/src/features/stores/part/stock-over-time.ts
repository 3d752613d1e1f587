import { toMillis, type Thousandths } from '@oilcan/core/kernel';
import type { Movement } from '@oilcan/core/stores/stock';

/** So many points of the line are drawn at most: more than that is no wider than the line itself. */
const MOST_POINTS = 120;

export interface Point {
  readonly at: number;
  readonly value: number;
}

/** What lay there after each movement, back from what lies there now. */
export function stockOverTime(movements: readonly Movement[], onHand: Thousandths): Point[] {
  let there = onHand;
  const back = movements.map(({ at, change }): Point => {
    const point = { at: toMillis(at), value: there / 1_000 };
    there -= change;
    return point;
  });
  const points = back.reverse();
  const every = Math.ceil(points.length / MOST_POINTS);
  return points.filter((_, index) => index % every === 0 || index === points.length - 1);
}
