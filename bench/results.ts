/** One measurement of one run: what, against what, and in which unit. */
export interface Measured {
  readonly what: string;
  readonly reference: string;
  readonly unit: string;
  /** `1.0 or less`, `0.15 or more`, `no aim`. */
  readonly aim: string;
  readonly value: number;
  readonly referenceValue: number;
}

/** The middle of several runs, with the least and the most. */
export interface Spread {
  readonly median: number;
  readonly least: number;
  readonly most: number;
}

/** What several runs of one measurement came to, and of which state of Oilcan. */
export interface Result {
  readonly what: string;
  readonly reference: string;
  readonly unit: string;
  readonly aim: string;
  readonly runs: number;
  readonly value: Spread;
  readonly referenceValue: Spread;
  readonly ratio: Spread;
  /** `2026-12-01`. */
  readonly day: string;
  readonly commit: string;
}

/** Names a measurement: the same thing can be held against several references. */
export const nameOf = ({ what, reference }: Pick<Result, 'what' | 'reference'>): string => `${what} | ${reference}`;

function spreadOf(values: readonly number[]): Spread {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  const median =
    sorted.length % 2 === 1
      ? (sorted[Math.floor(middle)] ?? Number.NaN)
      : ((sorted[middle - 1] ?? Number.NaN) + (sorted[middle] ?? Number.NaN)) / 2;
  return { median, least: sorted[0] ?? Number.NaN, most: sorted.at(-1) ?? Number.NaN };
}

/** What the runs of each measurement came to, in the order in which they were first measured. */
export function resultsOf(runs: readonly (readonly Measured[])[], of: Pick<Result, 'day' | 'commit'>): Result[] {
  const byName = new Map<string, Measured[]>();
  for (const each of runs.flat()) byName.set(nameOf(each), [...(byName.get(nameOf(each)) ?? []), each]);
  return [...byName.values()].flatMap((measured): Result[] => {
    const [first] = measured;
    if (first === undefined) return [];
    const { what, reference, unit, aim } = first;
    return [
      {
        what,
        reference,
        unit,
        aim,
        runs: measured.length,
        value: spreadOf(measured.map(({ value }) => value)),
        referenceValue: spreadOf(measured.map(({ referenceValue }) => referenceValue)),
        ratio: spreadOf(measured.map(({ value, referenceValue }) => value / referenceValue)),
        ...of,
      },
    ];
  });
}

/** Whether more is better, or less; null where nothing is aimed at. */
function isMoreBetter(aim: string): boolean | null {
  return aim.includes('or more') ? true : aim.includes('or less') || /\d$/.test(aim) ? false : null;
}

/** Whether the aim is reached by the middle run; null where there is none. */
export function isReached({ aim, ratio: { median } }: Pick<Result, 'aim' | 'ratio'>): boolean | null {
  const more = isMoreBetter(aim);
  const limit = Number(/\d+(?:\.\d+)?/.exec(aim)?.[0]);
  // As it is written, with two figures behind the point.
  const shown = Number(median.toFixed(2));
  return more === null ? null : more ? shown >= limit : shown <= limit;
}

/** Those that are worse than they were by more than either of the two spreads, so that chance alone does not explain it. */
export function fellBehind(before: readonly Result[], now: readonly Result[]): { before: Result; now: Result }[] {
  const byName = new Map(before.map((result) => [nameOf(result), result]));
  return now.flatMap((result) => {
    const earlier = byName.get(nameOf(result));
    const more = isMoreBetter(result.aim);
    if (earlier === undefined || more === null) return [];
    const worse = more ? earlier.ratio.median - result.ratio.median : result.ratio.median - earlier.ratio.median;
    const widest = Math.max(...[earlier, result].map(({ ratio }) => ratio.most - ratio.least));
    return worse > widest ? [{ before: earlier, now: result }] : [];
  });
}

/** The results as they stand after a run that measured some of them: what was not measured stays as it was. */
export function merged(before: readonly Result[], now: readonly Result[]): Result[] {
  const fresh = new Map(now.map((result) => [nameOf(result), result]));
  const kept = before.map((result) => fresh.get(nameOf(result)) ?? result);
  const known = new Set(before.map(nameOf));
  return [...kept, ...now.filter((result) => !known.has(nameOf(result)))];
}

const figure = (value: number): string =>
  value >= 1_000 ? Math.round(value).toLocaleString('en-GB') : value >= 100 ? value.toFixed(0) : value.toFixed(1);

function range({ median, least, most }: Spread, show: (value: number) => string): string {
  return show(least) === show(most) ? show(median) : `${show(median)} (${show(least)} to ${show(most)})`;
}

/** The table of the document. */
export function tableOf(results: readonly Result[]): string {
  const rows = results.map((result) => {
    const { what, reference, unit, value, referenceValue, ratio, aim, runs, day, commit } = result;
    const isMissed = isReached(result) === false;
    const cells = [
      what,
      `${range(value, figure)} ${unit}`,
      `${reference}: ${figure(referenceValue.median)} ${unit}`,
      range(ratio, (each) => each.toFixed(2)),
      `${aim.replace(/^aim: /, '')}${isMissed ? ': **not reached**' : ''}`,
      `${runs}, ${day}, ${commit}`,
    ];
    return `| ${cells.join(' | ')} |`;
  });
  return [
    '| what | median (least to most) | reference | ratio | aim | runs, day, commit |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
}

const BEGIN = '<!-- The table is written by `npm run bench`. -->';
const END = '<!-- End of the table. -->';

/** The document with another table in the place of the one that it has. */
export function withTable(document: string, table: string): string {
  const [begin, end] = [document.indexOf(BEGIN), document.indexOf(END)];
  if (begin < 0 || end < begin) throw new Error('The document has no place for the table.');
  return `${document.slice(0, begin + BEGIN.length)}\n\n${table}\n\n${document.slice(end)}`;
}
