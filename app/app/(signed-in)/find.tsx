import { piece } from '../../src/ui/piece';

export default piece(() => import('../../src/features/find/find-screen').then((module) => module.FindScreen));
