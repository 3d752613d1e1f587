import { useMemo, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import type { PersonId } from '@oilcan/core/kernel';
import { isReporterOf, problemsToAnswer, type Problem, type Report } from '@oilcan/core/raising/reports';
import { fitsFind } from '../../../data/queries/fits-find';
import { usePhone, useTable } from '../../../data/store/store';
import { FindField } from '../../../ui/fields/find-field';
import { FilterChip, FilterChips } from '../../../ui/fields/filter-chips';
import { Button } from '../../../ui/press/press';
import { withSharedCode } from '../../../ui/loading/shared-code';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { IncidentRows } from '../incidents';
import { useLandmark } from '../../frame/page/pane';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { ReportRow } from './report-row';
import { asList } from '../../../ui/layout/list';

const asRows = asList('Problems');

const choices = [
  ['toAnswer', 'To answer'],
  ['taken', 'Worked on'],
  ['over', 'Closed'],
  ['mine', 'Mine'],
] as const;
export type ReportsShown = (typeof choices)[number][0];

const keyOf = ([{ id }]: Problem): string => id;

/** All reports of my sites: what waits for an answer, the worst first, likely doubles together; what is worked on; what is closed; my own. */
export function ReportsScreen({ shown: first }: { readonly shown: ReportsShown }): ReactElement {
  const back = useBack('/shift');
  const landmark = useLandmark('Reports');
  const me = usePhone((state) => state.person?.id);
  const reports = useTable('reports');
  const [shown, setShown] = useState<ReportsShown>(first);
  const [find, setFind] = useState('');
  const listed = useMemo(
    () =>
      listOf(
        reports.filter((report) => fitsFind(report, find)),
        shown,
        me,
      ),
    [reports, shown, me, find],
  );
  const save = async (): Promise<void> => {
    const { saveReports } = await withSharedCode(() => import('./save-reports'));
    saveReports(listed.flat());
  };
  return (
    <View style={sheet.screen}>
      <TopBar title="Reports" {...back} />
      <FlatList
        {...landmark}
        {...asRows}
        data={listed}
        keyExtractor={keyOf}
        initialNumToRender={10}
        contentContainerStyle={sheet.list}
        ListHeaderComponent={
          <View style={sheet.head}>
            <View style={sheet.headline}>
              <AppText as="title" level={2} style={sheet.count}>
                {counted(listed.length, 'problem', 'problems')}
              </AppText>
              {listed.length === 0 ? null : <Button rank="quiet" word="Save as CSV" onPress={() => void save()} />}
            </View>
            <FilterChips isOneOf label="Which reports">
              {choices.map(([each, word]) => (
                <FilterChip key={each} word={word} isOn={each === shown} onPress={() => setShown(each)} />
              ))}
            </FilterChips>
            <FindField label="Find a report" value={find} onChange={setFind} />
            {shown === 'mine' ? <IncidentRows find={find} /> : null}
          </View>
        }
        ListEmptyComponent={<AppText>{emptyWords[shown]}</AppText>}
        renderItem={({ item: [report, ...doubles] }) => <ReportRow report={report} doubles={doubles} />}
      />
    </View>
  );
}

const emptyWords: Readonly<Record<ReportsShown, string>> = {
  toAnswer: 'No report waits for an answer.',
  taken: 'No report is worked on just now.',
  over: 'No report was closed in the last 30 days.',
  mine: 'You have reported nothing in a while. Raise, at the foot, is for that.',
};

function listOf(reports: readonly Report[], shown: ReportsShown, me: PersonId | undefined): readonly Problem[] {
  if (shown === 'toAnswer') return problemsToAnswer(reports);
  const wanted = reports.filter((report) => {
    if (shown === 'mine') return me !== undefined && isReporterOf(report, me);
    return shown === 'taken' ? report.state === 'taken' : report.endedAt !== null;
  });
  return wanted.sort((a, b) => (a.at < b.at ? 1 : -1)).map((report): Problem => [report]);
}

const sheet = StyleSheet.create({
  headline: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 8 },
  count: { flexGrow: 1 },
  screen: { flex: 1, minHeight: 0 },
  list: { padding: 16, width: '100%', maxWidth: 820 },
  head: { gap: 10, paddingBottom: 8 },
});
