import { piece } from '../src/ui/piece';

export default piece(() => import('../src/features/frame/no-page').then((module) => module.NoPage));
