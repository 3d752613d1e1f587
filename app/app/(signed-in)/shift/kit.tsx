import { piece } from '../../../src/ui/loading/piece';

export default piece(() =>
  import('../../../src/features/stores/kit-list/kit-list-screen').then((module) => module.KitListScreen),
);
