import { piece } from '../../../src/ui/piece';

export default piece(() => import('../../../src/features/shift/work-table').then((module) => module.WorkTable));
