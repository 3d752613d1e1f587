import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { answerTimes, problemsToAnswer } from '@oilcan/core/raising/reports';
import { useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { Section } from '../../../ui/layout/section';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { IncidentRows } from '../incidents';
import { ReportRow } from './report-row';
import { answerTimeWords } from './report-words';
import { List } from '../../../ui/layout/list';

const MOST_SHOWN = 3;
/** So many days are looked back for how fast reports are answered. */
const DAYS = 30;

/** On the Desk: reports that wait for an answer, the worst first, likely doubles together; above them how fast they are answered. */
export function DeskReports(): ReactElement {
  const reports = useTable('reports');
  const present = useNow(60);
  const problems = useMemo(() => problemsToAnswer(reports), [reports]);
  const times = useMemo(() => answerTimes(reports, present, DAYS), [reports, present]);
  const left = problems.length - MOST_SHOWN;
  return (
    <View>
      <Section
        title="Reports"
        aside={problems.length === 0 ? 'none waits' : counted(problems.length, 'problem', 'problems')}
      >
        <AppText soft style={sheet.times}>
          {answerTimeWords(times, DAYS)}
        </AppText>
        <List label="Problems">
          {problems.slice(0, MOST_SHOWN).map(([report, ...doubles]) => (
            <ReportRow key={report.id} report={report} doubles={doubles} />
          ))}
        </List>
        <IncidentRows />
        <Way
          href="/reports"
          title={left > 0 ? `${counted(left, 'more problem', 'more problems')}, and all reports` : 'All reports'}
        />
      </Section>
    </View>
  );
}

const sheet = StyleSheet.create({
  times: { paddingTop: 8 },
});
