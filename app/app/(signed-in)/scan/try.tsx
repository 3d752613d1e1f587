import { piece } from '../../../src/ui/loading/piece';

export default piece(() =>
  import('../../../src/features/plant/scan/try-codes-screen').then((module) => module.TryCodesScreen),
);
