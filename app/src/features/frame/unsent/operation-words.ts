import type { Operation } from '@oilcan/core/operations';
import { isOperationName, operationNamed } from '@oilcan/core/registry/operations';
import { operationViews } from '../registry/views';
import type { Names } from '../views/names';

/** What somebody recorded, as they would say it. */
export function operationWords({ name, args }: Pick<Operation, 'name' | 'args'>, names: Names): string {
  if (!isOperationName(name)) return name;
  const say = operationViews[name].say as ((args: unknown, names: Names) => string) | null;
  if (say !== null) return say(args, names);
  const { label } = operationNamed(name);
  return label.charAt(0).toUpperCase() + label.slice(1);
}
