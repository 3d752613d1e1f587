import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { fitsFind } from '../../data/fits-find';
import { useTable } from '../../data/store';
import { Section } from '../../ui/section';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { IncidentRows } from '../incident-reports';
import { ReportRow } from './report-row';

const MOST_SHOWN = 5;
const PAUSE_MILLISECONDS = 200;

/** The reports and my incidents in which stands what somebody looks for among their work; nothing where there are none. */
export function FoundReports({ find }: { readonly find: string }): ReactElement | null {
  const wanted = useAfterTyping(find.trim());
  const reports = useTable('reports');
  const found = useMemo(
    () =>
      wanted === '' ? [] : reports.filter((report) => fitsFind(report, wanted)).sort((a, b) => (a.at < b.at ? 1 : -1)),
    [reports, wanted],
  );
  if (wanted === '') return null;
  const more = found.length - MOST_SHOWN;
  return (
    <View style={sheet.found}>
      {found.length === 0 ? null : (
        <Section title="Reports">
          {found.slice(0, MOST_SHOWN).map((report) => (
            <ReportRow key={report.id} report={report} />
          ))}
        </Section>
      )}
      {more <= 0 ? null : <Words soft>{counted(more, 'older report fits', 'older reports fit')} too.</Words>}
      <IncidentRows find={wanted} />
    </View>
  );
}

/** What is typed, once nothing more is for a moment: the jobs come at every letter, the reports need not. */
function useAfterTyping(text: string): string {
  const [typed, setTyped] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => setTyped(text), PAUSE_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [text]);
  return typed;
}

const sheet = StyleSheet.create({ found: { paddingHorizontal: 16, paddingBottom: 24, gap: 8 } });
