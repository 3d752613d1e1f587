import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/loading/piece';

const ReportScreen = piece(() =>
  import('../../../src/features/raising/reports/report-screen').then((module) => module.ReportScreen),
);

export default function OneReport(): ReactElement {
  const { report } = useLocalSearchParams<{ report: string }>();
  return <ReportScreen reportId={report} />;
}
