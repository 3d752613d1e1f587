import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useFoundReports } from '../../../data/find/use-found';
import { Section } from '../../../ui/layout/section';
import { IncidentRows } from '../incidents';
import { ReportRow } from './report-row';

const MOST_SHOWN = 5;

/** The reports and my incidents that fit what somebody looks for, the likeliest first; nothing where there are none. */
export function FoundReports({ find }: { readonly find: string }): ReactElement {
  const found = useFoundReports(find, MOST_SHOWN);
  return (
    <View style={sheet.found}>
      {found.length === 0 ? null : (
        <Section title="Reports">
          {found.map((report) => (
            <ReportRow key={report.id} report={report} />
          ))}
        </Section>
      )}
      <IncidentRows find={find.trim()} />
    </View>
  );
}

const sheet = StyleSheet.create({ found: { gap: 8 } });
