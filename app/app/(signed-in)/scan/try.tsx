import { lazyComponent } from '../../../src/ui/loading/lazy-component';

export default lazyComponent(() =>
  import('../../../src/features/plant/scan/try-codes-screen').then((module) => module.TryCodesScreen),
);
