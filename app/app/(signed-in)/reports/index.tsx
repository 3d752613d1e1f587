import type { ReactElement } from 'react';
import { useIsWide } from '../../../src/ui/theme';
import { piece } from '../../../src/ui/piece';

const ReportsScreen = piece(() =>
  import('../../../src/features/reported/reports-screen').then((module) => module.ReportsScreen),
);
const WorstReport = piece(() =>
  import('../../../src/features/reported/worst-report').then((module) => module.WorstReport),
);

/** On a wide screen the worst of them stands beside the list until another is chosen. */
export default function Reports(): ReactElement {
  return useIsWide() ? <WorstReport /> : <ReportsScreen shown="toAnswer" />;
}
