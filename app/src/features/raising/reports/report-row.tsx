import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { reportedBy, type Report } from '@oilcan/core/raising/reports';
import { now, useRow, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';

import { UrgencyMark } from '../../../ui/drawn/urgency';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { Picture } from '../../recording/photos';
import { howBadWords, reporterWords, standingWords } from './report-words';

interface Props {
  readonly report: Report;
  /** Likely of the same problem, shown with it. */
  readonly doubles?: readonly Report[];
}

/** One report in a list: what is wrong and where, who reported it, and how it stands. */
export function ReportRow({ report, doubles = [] }: Props): ReactElement {
  const palette = usePalette();
  const asset = useRow('assets', report.assetId);
  const place = useRow('places', report.placeId);
  const settings = useSettings(report.siteId);
  const bad = howBadWords(report);
  const count = doubles.reduce((sum, each) => sum + reportedBy(each), reportedBy(report));
  return (
    <LinkPress
      href={`/reports/${report.id}`}
      testID={`report-${report.number}`}
      style={[sheet.row, { borderColor: palette.line }]}
    >
      <View style={sheet.words}>
        <View style={sheet.line}>
          <AppText as="mark">{report.number}</AppText>
          <UrgencyMark urgency={report.urgency} />
          <AppText as="label">{standingWords(report)}</AppText>
        </View>
        <AppText as="row" lines={2}>
          {report.words}
        </AppText>
        <AppText as="small" soft lines={1}>
          {asset === undefined ? (place?.name ?? '') : `${asset.name} · ${place?.name ?? ''}`}
        </AppText>
        <AppText as="small" soft>
          {reporterWords(report)}
          {settings === undefined ? '' : `, ${sayMoment(report.at, now(), settings.zone, settings.language)}`}
          {bad === '' ? '' : ` · ${bad}`}
        </AppText>
        {doubles.length === 0 ? null : (
          <AppText as="label">
            {counted(doubles.length + 1, 'report', 'reports')} likely of one problem, from{' '}
            {counted(count, 'person', 'people')}
          </AppText>
        )}
      </View>
      {report.photo === null ? null : <Picture content={{ ...report.photo, caption: report.number }} isSmall />}
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1, paddingVertical: 10 },
  words: { flex: 1, minWidth: 0, gap: 2 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 14 },
});
