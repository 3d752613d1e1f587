import { Interval, DateTime } from 'luxon';
import { asId, toMillis, type PartId } from '@oilcan/core/kernel';
import { completionsOf, meaningsOf, parseShorthand, type ShorthandContext } from '@oilcan/core/recording/shorthand';
import { downtimeOf } from '@oilcan/core/recording/stoppages';
import { aPart, aPoint, minutesLater } from '@oilcan/core/testing';
import { findParts } from '../app/src/features/stores/choose-part/find-parts';
import { percentile, report, median } from './report.mjs';

const LINE = '1.5h 2x brg-6204 fault leak read oil temp 68 note grease was black';
const FIND = 'bearing 62 housing';
const RUNS = 40;
const ROUNDS = 5;

const partsOf = (count: number) =>
  Array.from({ length: count }, (_, index) =>
    aPart({
      id: asId<PartId>(`part-${index}`),
      number: `BRG-${6_000 + index}`,
      name: `Deep groove bearing ${index % 977} with housing ${index % 89}`,
    }),
  );

/** What is worked out with every key of a line of shorthand and of a search for a part, and with many stoppages. */
export function benchRecording(): void {
  shorthand();
  search();
  stoppages();
}

function shorthand(): void {
  const parts = partsOf(5_000);
  const fault = { component: 'Shaft seal', mode: 'ELU' } as const;
  const context: ShorthandContext = {
    parts,
    likelyParts: [asId<PartId>('part-7'), asId<PartId>('part-204')],
    points: [aPoint(), aPoint({ name: 'Bearing temperature' })],
    usualFaults: [fault],
    faults: [fault, { component: 'Hose', mode: 'ELP' }, { component: '', mode: 'NOI' }],
  };
  const key = (line: string): void => {
    meaningsOf(parseShorthand(line), context);
    completionsOf(line, context, [{ partId: asId<PartId>('part-7'), quantity: 1_000 }]);
  };
  const took = keysOf(LINE).flatMap((line) => timesOf(() => key(line)));
  const plain = keysOf(LINE).flatMap((line) =>
    timesOf(() => parts.filter(({ number, name }) => `${number} ${name}`.toLowerCase().includes(line))),
  );
  report(
    'shorthand, a key among 5,000 parts, 99th percentile',
    percentile(took, 99),
    'limit',
    5,
    'ms',
    'aim: 1.0 or less',
  );
  report('the same, median', median(took), 'one plain filter of the parts', median(plain), 'ms', 'no aim');
}

function search(): void {
  const parts = partsOf(20_000);
  const took = keysOf(FIND).flatMap((find) => timesOf(() => findParts(parts, find)));
  report('search in 20,000 parts, a key, 99th percentile', percentile(took, 99), 'limit', 30, 'ms', 'aim: 1.0 or less');
}

/** Of years, in no order, a third of them reduced, many at once. */
function stoppages(): void {
  const years = 3 * 365 * 24 * 60;
  const some = Array.from({ length: 100_000 }, (_, index) => {
    const from = (index * 7_919) % years;
    return {
      from: minutesLater(from - years),
      to: minutesLater(from - years + 5 + (index % 300)),
      extent: index % 3 === 0 ? ('reduced' as const) : ('full' as const),
    };
  });
  const window = { from: minutesLater(-years), to: minutesLater(0) };
  const took = Array.from({ length: ROUNDS }, () => timeOf(() => downtimeOf(some, window, null)));
  const spans = some.map(({ from, to }) =>
    Interval.fromDateTimes(DateTime.fromMillis(toMillis(from)), DateTime.fromMillis(toMillis(to))),
  );
  const merged = Array.from({ length: ROUNDS }, () => timeOf(() => Interval.merge(spans)));
  report('100,000 stoppages united', median(took), 'limit', 100, 'ms', 'aim: 1.0 or less');
  report(
    'the same',
    median(took),
    'Luxon’s Interval.merge, which unites without extents',
    median(merged),
    'ms',
    'no aim',
  );
}

/** A line as it stands after every key. */
function keysOf(line: string): string[] {
  return Array.from(line, (_, index) => line.slice(0, index + 1));
}

function timesOf(task: () => unknown): number[] {
  return Array.from({ length: RUNS }, () => timeOf(task));
}

function timeOf(task: () => unknown): number {
  const begun = performance.now();
  task();
  return performance.now() - begun;
}
