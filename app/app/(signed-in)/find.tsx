import { piece } from '../../src/ui/loading/piece';

export default piece(() => import('../../src/features/overview/find/find-screen').then((module) => module.FindScreen));
