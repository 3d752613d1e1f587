import { piece } from '../../../src/ui/piece';

export default piece(() => import('../../../src/features/day/day-screen').then((module) => module.DayScreen));
