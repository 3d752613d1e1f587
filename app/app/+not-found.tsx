import { lazyComponent } from '../src/ui/loading/lazy-component';

export default lazyComponent(() => import('../src/features/frame/frame/no-page').then((module) => module.NoPage));
