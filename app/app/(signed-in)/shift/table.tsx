import { lazyComponent } from '../../../src/ui/loading/lazy-component';

export default lazyComponent(() =>
  import('../../../src/features/finishing/shift/work-table').then((module) => module.WorkTable),
);
