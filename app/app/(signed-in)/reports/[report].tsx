import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const ReportScreen = lazyComponent(() =>
  import('../../../src/features/raising/reports/report-screen').then((module) => module.ReportScreen),
);

export default function OneReport(): ReactElement {
  const { report } = useLocalSearchParams<{ report: string }>();
  return <ReportScreen reportId={report} />;
}
