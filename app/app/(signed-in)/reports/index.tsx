import type { ReactElement } from 'react';
import { useIsWide } from '../../../src/ui/theme/theme';
import { piece } from '../../../src/ui/loading/piece';

const ReportsScreen = piece(() =>
  import('../../../src/features/raising/reports/reports-screen').then((module) => module.ReportsScreen),
);
const WorstReport = piece(() =>
  import('../../../src/features/raising/reports/worst-report').then((module) => module.WorstReport),
);

/** On a wide screen the worst of them stands beside the list until another is chosen. */
export default function Reports(): ReactElement {
  return useIsWide() ? <WorstReport /> : <ReportsScreen shown="toAnswer" />;
}
