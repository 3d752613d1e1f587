import { piece } from '../../src/ui/piece';

export default piece(() => import('../../src/features/desk/desk-screen').then((module) => module.DeskScreen));
