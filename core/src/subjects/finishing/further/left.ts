import type { AssetId, PointId, StepId } from '../../../kernel/ids';
import { toMillis } from '../../../kernel/time/instant';
import type { MeasuringPoint } from '../../plant/plant/plant';
import type { Stop } from '../../steps/rounds/stop';
import type { Share } from '../../recording/shares/share';
import { levelOfAnswer } from '../../steps/steps/level-of-answer';
import { faultyOf, pointOf, type Step } from '../../steps/steps/step';
import { currentOf, type Entry } from '../../orders/work/entries';
import type { WorkOrder } from '../../orders/work/work-order';

/** One thing that a job leaves to be done: something faulty still, or a value beyond its alarm. */
export type LeftOver = { readonly key: string; readonly assetId: AssetId; readonly tradeId: string } & (
  | { readonly is: 'faulty'; readonly step: Step }
  | {
      readonly is: 'alarm';
      /** Null for a number that is asked for at no measuring point. */
      readonly pointId: PointId | null;
      readonly name: string;
      readonly value: number;
      readonly unit: string;
    }
);

/** What a job holds that may leave something. */
export interface LeftBy {
  readonly work: WorkOrder;
  readonly steps: readonly Step[];
  readonly stops: readonly Stop[];
  readonly entries: readonly Entry[];
  readonly shares: readonly Share[];
  readonly pointOf: (id: PointId) => MeasuringPoint | undefined;
  /** The work orders that came from it. */
  readonly led: readonly WorkOrder[];
  /** Whether an alarm of a point is answered by open work already, wherever that came from. */
  readonly isAnswered: (pointId: PointId) => boolean;
}

/** What is still to be done after a job, and for which nobody has raised work yet. */
export function leftOvers({
  work,
  steps,
  stops,
  entries,
  shares,
  pointOf: pointNamed,
  led,
  isAnswered,
}: LeftBy): LeftOver[] {
  const answered = new Set(led.flatMap(({ answers = [] }) => answers));
  const assetOfStop = new Map(stops.map(({ id, assetId }) => [id, assetId]));
  const tradeOfStep = new Map<StepId, string>(
    shares.flatMap(({ stepIds, tradeId }) => stepIds.map((id): [StepId, string] => [id, tradeId])),
  );
  const left: LeftOver[] = [];
  for (const step of steps) {
    const value = step.answer?.value ?? null;
    const assetId = (step.stopId === null ? undefined : assetOfStop.get(step.stopId)) ?? work.assetId;
    const tradeId = tradeOfStep.get(step.id) ?? work.tradeId;
    if (faultyOf(step.question, value) === 'faulty') left.push({ key: step.id, assetId, tradeId, is: 'faulty', step });
    if (step.question.type !== 'number' || value?.type !== 'number' || pointOf(step.question) !== null) continue;
    if (levelOfAnswer(step.question, value) !== 'alarm') continue;
    const { unit } = step.question;
    left.push({
      key: step.id,
      assetId,
      tradeId,
      is: 'alarm',
      pointId: null,
      name: step.text,
      value: value.value,
      unit,
    });
  }
  const last = new Map(
    [...currentOf(entries, 'reading')]
      .sort((a, b) => toMillis(a.at) - toMillis(b.at))
      .map((entry) => [entry.content.pointId, entry]),
  );
  for (const { assetId, content } of last.values()) {
    const { pointId, value, level } = content;
    const point = pointNamed(pointId);
    if (level !== 'alarm' || point === undefined || isAnswered(pointId)) continue;
    const { name, unit } = point;
    left.push({ key: pointId, assetId, tradeId: work.tradeId, is: 'alarm', pointId, name, value, unit });
  }
  return left.filter(({ key }) => !answered.has(key));
}

/** One further work order that is proposed: all that it answers is on one machine and of one trade, unless joined by hand. */
export type Proposal = readonly [LeftOver, ...LeftOver[]];

/** What is left, gathered by machine and trade. */
export function proposalsFor(left: readonly LeftOver[]): Proposal[] {
  const groups = new Map<string, Proposal>();
  for (const each of left) {
    const key = `${each.assetId} ${each.tradeId}`;
    const before = groups.get(key);
    groups.set(key, before === undefined ? [each] : [...before, each]);
  }
  return [...groups.values()];
}

/** One proposal joined with the one before it. */
export function joined(proposals: readonly Proposal[], index: number): Proposal[] {
  const before = proposals[index - 1];
  const one = proposals[index];
  if (before === undefined || one === undefined) return [...proposals];
  return [...proposals.slice(0, index - 1), [...before, ...one], ...proposals.slice(index + 1)];
}

/** One proposal split into one for each thing. */
export function split(proposals: readonly Proposal[], index: number): Proposal[] {
  return proposals.flatMap((proposal, at): Proposal[] => (at === index ? proposal.map((each) => [each]) : [proposal]));
}
