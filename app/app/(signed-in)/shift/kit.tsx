import { lazyComponent } from '../../../src/ui/loading/lazy-component';

export default lazyComponent(() =>
  import('../../../src/features/stores/kit-list/kit-list-screen').then((module) => module.KitListScreen),
);
