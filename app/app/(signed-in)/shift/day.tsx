import { piece } from '../../../src/ui/loading/piece';

export default piece(() => import('../../../src/features/recording/day/day-screen').then((module) => module.DayScreen));
