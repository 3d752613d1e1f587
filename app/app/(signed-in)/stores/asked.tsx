import { lazyComponent } from '../../../src/ui/loading/lazy-component';

/** What is asked of the stores. */
export default lazyComponent(() =>
  import('../../../src/features/stores/issue/asked-screen').then((module) => module.AskedScreen),
);
