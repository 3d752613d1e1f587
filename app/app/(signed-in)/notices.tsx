import { lazyComponent } from '../../src/ui/loading/lazy-component';

export default lazyComponent(() =>
  import('../../src/features/overview/notices/notices-screen').then((module) => module.NoticesScreen),
);
