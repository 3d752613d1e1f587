import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { problemsToAnswer } from '@oilcan/core/raising/reports';
import { useTable } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';
import { ReportScreen } from './report-screen';

/** The worst of what waits for an answer, beside the list, before another was chosen. */
export function WorstReport(): ReactElement {
  const reports = useTable('reports');
  const worst = useMemo(() => problemsToAnswer(reports)[0]?.[0], [reports]);
  if (worst !== undefined) return <ReportScreen key={worst.id} reportId={worst.id} />;
  return (
    <View role="main" style={sheet.nothing}>
      <AppText as="title" level={2}>
        No report waits for an answer
      </AppText>
      <AppText soft>What was answered stands in the list: worked on, closed, and your own.</AppText>
    </View>
  );
}

const sheet = StyleSheet.create({ nothing: { padding: 24, gap: 8, maxWidth: 640 } });
