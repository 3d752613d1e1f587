import type * as Operations from '@oilcan/core/registry/operations';

/** What operations do, and what can be told of one from its name: the largest part of core, which the first screen does not need. */
export type Rules = Pick<
  typeof Operations,
  'applyOperation' | 'fileNamedBy' | 'namesOneOf' | 'numberTakenBy' | 'operationNamed' | 'upgradedOperation'
>;
