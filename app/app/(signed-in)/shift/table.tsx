import { piece } from '../../../src/ui/loading/piece';

export default piece(() =>
  import('../../../src/features/finishing/shift/work-table').then((module) => module.WorkTable),
);
