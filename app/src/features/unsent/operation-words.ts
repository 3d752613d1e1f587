import { formatDuration } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { MeasuringPoint } from '@oilcan/core/plant';
import { isOperationName, operationNamed, type ArgsOf, type OperationName } from '@oilcan/core/registry';
import type { Step } from '@oilcan/core/steps';
import type { Part } from '@oilcan/core/stock';
import { amountOf } from '../sheet/kit';

/** Looks up what an operation names; undefined for what this phone does not have. */
interface Names {
  readonly part: (id: string) => Part | undefined;
  readonly point: (id: string) => MeasuringPoint | undefined;
  readonly step: (id: string) => Step | undefined;
}

type Say = { readonly [N in OperationName]?: (args: ArgsOf<N>, names: Names) => string };

/** Operations that a person knows by what is in them. */
const sayings: Say = {
  'work.acknowledge-hazards': () => 'Hazards read',
  'work.add-hazard': ({ hazard }) => `Hazard: ${hazard}`,
  'step.answer': ({ stepId }, { step }) => step(stepId)?.text ?? 'A step',
  'clock.start': () => 'Clock started',
  'clock.stop': () => 'Clock stopped',
  'clock.stop-for': () => 'Clock of a mate stopped',
  'labor.add': ({ minutes }) => `${formatDuration(minutes)} of work`,
  'labor.amend': ({ minutes }) => `Amended to ${formatDuration(minutes)} of work`,
  'part.use': ({ partId, quantity }, { part }) =>
    `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? 'of a part'}`,
  'reading.add': ({ pointId, value }, { point }) =>
    `${point(pointId)?.name ?? 'Reading'} ${value} ${point(pointId)?.unit ?? ''}`.trim(),
  'note.add': ({ text }) => text,
  'photo.add': ({ caption }) => (caption === '' ? 'Photo' : `Photo: ${caption}`),
};

/** What somebody recorded, as they would say it. */
export function operationWords({ name, args }: Pick<Operation, 'name' | 'args'>, names: Names): string {
  if (!isOperationName(name)) return name;
  const say = sayings[name] as ((args: unknown, names: Names) => string) | undefined;
  if (say !== undefined) return say(args, names);
  const { label } = operationNamed(name);
  return label.charAt(0).toUpperCase() + label.slice(1);
}
