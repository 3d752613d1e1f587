import { piece } from '../../../src/ui/piece';

export default piece(() =>
  import('../../../src/features/kit-list/kit-list-screen').then((module) => module.KitListScreen),
);
