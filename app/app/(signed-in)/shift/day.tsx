import { lazyComponent } from '../../../src/ui/loading/lazy-component';

export default lazyComponent(() =>
  import('../../../src/features/recording/day/day-screen').then((module) => module.DayScreen),
);
