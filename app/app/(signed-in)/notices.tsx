import { piece } from '../../src/ui/piece';

export default piece(() => import('../../src/features/notices/notices-screen').then((module) => module.NoticesScreen));
