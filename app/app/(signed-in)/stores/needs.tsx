import { lazyComponent } from '../../../src/ui/loading/lazy-component';

/** What the work of some days needs of the stores. */
export default lazyComponent(() =>
  import('../../../src/features/stores/kit-list/needs-screen').then((module) => module.NeedsScreen),
);
