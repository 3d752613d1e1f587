import { piece } from '../../../src/ui/piece';

export default piece(() =>
  import('../../../src/features/scan/try-codes-screen').then((module) => module.TryCodesScreen),
);
