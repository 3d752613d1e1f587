import { piece } from '../src/ui/loading/piece';

export default piece(() => import('../src/features/frame/frame/no-page').then((module) => module.NoPage));
