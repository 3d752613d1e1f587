import type { ReactElement } from 'react';
import { useIsWide } from '../../../src/ui/theme/theme';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const ReportsScreen = lazyComponent(() =>
  import('../../../src/features/raising/reports/reports-screen').then((module) => module.ReportsScreen),
);
const WorstReport = lazyComponent(() =>
  import('../../../src/features/raising/reports/worst-report').then((module) => module.WorstReport),
);

/** On a wide screen the worst of them stands beside the list until another is chosen. */
export default function Reports(): ReactElement {
  return useIsWide() ? <WorstReport /> : <ReportsScreen shown="toAnswer" />;
}
