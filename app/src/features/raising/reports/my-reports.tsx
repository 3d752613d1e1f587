import { useRouter } from 'expo-router';
import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isReporterOf, waitsForAnswer } from '@oilcan/core/raising/reports';
import { usePhone, useTable } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { IncidentRows } from '../incidents';
import { ReportRow } from './report-row';

const MOST_SHOWN = 4;

/** Under my work: what I reported and what became of it, what I am sent to look at, and the way to all reports of my sites. */
export function MyReports(): ReactElement | null {
  const router = useRouter();
  const me = usePhone((state) => state.person?.id);
  const reports = useTable('reports');
  const { toLook, mine, waiting } = useMemo(() => {
    const byAge = [...reports].sort((a, b) => (a.at < b.at ? 1 : -1));
    return {
      toLook: byAge.filter(({ looking }) => looking !== null && looking === me),
      mine: me === undefined ? [] : byAge.filter((report) => isReporterOf(report, me)),
      waiting: byAge.filter(waitsForAnswer).length,
    };
  }, [reports, me]);
  if (me === undefined) return null;
  return (
    <View style={sheet.reports}>
      {toLook.length === 0 ? null : (
        <Section title="Go and look">
          {toLook.map((report) => (
            <ReportRow key={report.id} report={report} />
          ))}
        </Section>
      )}
      {mine.length === 0 ? null : (
        <Section title="My reports">
          {mine.slice(0, MOST_SHOWN).map((report) => (
            <ReportRow key={report.id} report={report} />
          ))}
        </Section>
      )}
      <IncidentRows />
      <Button
        style={sheet.all}
        word={waiting === 0 ? 'All reports of my sites' : `All reports of my sites: ${waiting} to answer`}
        onPress={() => router.navigate('/reports')}
      />
    </View>
  );
}

const sheet = StyleSheet.create({
  reports: { paddingHorizontal: 16, paddingBottom: 24 },
  all: { marginTop: 16, alignSelf: 'flex-start' },
});
