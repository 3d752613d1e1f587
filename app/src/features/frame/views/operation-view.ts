import type { ArgsOf, CorrectableOf, OperationName } from '@oilcan/core/registry/operations';
import type { Names } from './names';

/** Everything by which a kind of operation is shown; nothing of it may be left out. */
export interface OperationView<N extends OperationName> {
  /** What somebody recorded, as they would say it; null where its label says it. */
  readonly say: ((args: ArgsOf<N>, names: Names) => string) | null;
  /** What the arguments are called that can be put right when it was refused. */
  readonly fields: Readonly<Record<CorrectableOf<N>, string>>;
}

export type OperationViewSet = { readonly [N in OperationName]: OperationView<N> };
export type OperationViewsNamed<N extends OperationName> = { readonly [Each in N]: OperationView<Each> };

/** What its label says, and nothing of which can be put right. */
export const byItsLabel = { say: null, fields: {} } as const;
