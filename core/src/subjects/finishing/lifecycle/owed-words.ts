import type { ErrorValues } from '../../../kernel/errors/catalogue';
import type { Owed } from './owed';

type Owing = Owed['what'];

/** What must be recorded of each, one and several, in the order in which it is said. */
const words: readonly (readonly [Owing, one: string, several: string])[] = [
  ['step', 'one step', 'steps'],
  ['share', 'the share of a mate', 'shares of mates'],
  ['reading', 'a reading', 'readings'],
  ['fault', 'a fault, or that none was found', 'faults'],
  ['codes', 'cause and work of a fault', 'faults without cause or work'],
  ['part', 'the parts, or that none was taken', 'parts'],
  ['stoppage', 'how long it stood still, or that it did not', 'stoppages'],
  ['stoppageEnd', 'the end of a stoppage', 'ends of stoppages'],
  ['time', 'the time', 'times'],
  ['photo', 'a photo', 'photos'],
  ['signature', 'a signature', 'signatures'],
  ['clockOfAnother', 'a running clock', 'running clocks'],
  ['lock', 'a lock that is on', 'locks that are on'],
];

/** How many of each are owed, for the sentence that says so. */
export function countOwed(owed: readonly Pick<Owed, 'what'>[]): Readonly<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const { what } of owed) counts[what] = (counts[what] ?? 0) + 1;
  return counts;
}

/** What stands in the way, by its counts: “2 steps and the time are”. */
export function owedSaid(values: ErrorValues): string {
  const counts = words.map(([what, one, several]) => ({ count: Number(values[what] ?? 0), one, several }));
  const said = counts.flatMap(({ count, one, several }) =>
    count === 0 ? [] : [count === 1 ? one : `${count} ${several}`],
  );
  const total = counts.reduce((sum, { count }) => sum + count, 0);
  const last = said.pop() ?? 'something';
  return `${said.length === 0 ? last : `${said.join(', ')} and ${last}`} ${total > 1 ? 'are' : 'is'}`;
}
