import { lazyComponent } from '../../src/ui/loading/lazy-component';

export default lazyComponent(() =>
  import('../../src/features/overview/find/find-screen').then((module) => module.FindScreen),
);
