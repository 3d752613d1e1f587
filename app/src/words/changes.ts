import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import type { Change, Reaching, Trend } from '@oilcan/core/steps/readings';
import { saySpan, saySpans } from './spans';

type Named = Pick<MeasuringPoint, 'unit' | 'decimals'>;

/** Changes are said for the first of these many days in which they can be read off the instrument. */
const STRETCHES: readonly (readonly [days: number, words: string])[] = [
  [1, 'a day'],
  [7, 'a week'],
  [30, 'a month'],
  [365, 'a year'],
];

/** Whether a measuring point is changing, and what comes of it: none to three sentences. */
export function sayChange({ trend, broken, reaching }: Change, point: Named): string[] {
  return [
    ...(trend === null ? [] : [saySlope(trend, point)]),
    ...reaching.map((each) => sayReaching(each, point)),
    ...(broken === null ? [] : [brokenWords[broken]]),
  ];
}

const brokenWords = {
  beyond: 'The newest two values stand out from what was usual.',
  run: 'The newest values all lie on one side of what was usual, for longer than chance would let them.',
} as const;

function saySlope({ perDay }: Trend, { unit, decimals }: Named): string {
  const least = 10 ** -decimals;
  const [days, words] = STRETCHES.find(([each]) => Math.abs(perDay) * each >= least) ?? [365, 'a year'];
  const amount = (Math.abs(perDay) * days).toFixed(decimals);
  const said = Number(amount) === 0 ? `less than ${least}` : `about ${amount}`;
  return `${perDay > 0 ? 'Rises' : 'Falls'} by ${said} ${unit} ${words}.`;
}

/** Sooner than this is now. */
const LEAST_DAYS = 0.5;

function sayReaching({ limit, value, days, soonest, latest }: Reaching, { unit }: Named): string {
  const what = `its ${limit} of ${value} ${unit}`;
  if (days < LEAST_DAYS) return `May stand at ${what} already; nine in ten: within ${saySpan(latest)}.`;
  const likely = soonest < LEAST_DAYS ? `within ${saySpan(latest)}` : saySpans(soonest, latest);
  return `Reaches ${what} in about ${saySpan(days)} (nine in ten: ${likely}).`;
}
