import { piece } from '../../src/ui/loading/piece';

export default piece(() =>
  import('../../src/features/overview/notices/notices-screen').then((module) => module.NoticesScreen),
);
