import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import { isOpenReport, isReporterOf, photosOf, problemsToAnswer, type Report } from '@oilcan/core/raising/reports';
import { rulesOf } from '@oilcan/core/orders/raise-rules';
import { now, usePhone, useRow, useRows, useSettings } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { LinkPress } from '../../../ui/press/link-press';
import { Button } from '../../../ui/press/press';
import { Row, Section } from '../../../ui/layout/section';
import { UrgencyMark } from '../../../ui/drawn/urgency';
import { useIsWide, useIsWindowWide } from '../../../ui/theme/theme';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { PlayVoice } from '../../recording/attachments';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { Picture } from '../../recording/photos';
import { AnswerKeys } from './answer-keys';
import { ReportRow } from './report-row';
import { eventText, eventWords, howBadWords, reporterWords, standingWords } from './report-words';
import { SayMoreSheet } from './say-more-sheet';
import { PageTitle } from '../../frame/page/page-title';

/** One report: what is wrong, who said so and how to reach them, what became of it, and what can be done about it. */
export function ReportScreen({ reportId }: { readonly reportId: string }): ReactElement {
  const back = useBack('/reports');
  const isBeside = useIsWindowWide();
  const report = useRow('reports', reportId);
  const hasRows = usePhone((state) => state.hasRows);
  return (
    <View style={sheet.screen}>
      <TopBar
        title={report?.number ?? 'Report'}
        isNamedBelow={report !== undefined}
        {...(isBeside ? { isBeside } : back)}
      />
      {report === undefined ? (
        <View role="main" style={sheet.content}>
          <AppText live>
            {hasRows
              ? 'This report is not on this phone: it is older, of another site, or does not exist.'
              : 'Fetching the reports …'}
          </AppText>
        </View>
      ) : (
        <Page key={report.id} report={report} />
      )}
    </View>
  );
}

function Page({ report }: { readonly report: Report }): ReactElement | null {
  const isWide = useIsWide();
  const person = usePhone((state) => state.person);
  const rules = rulesOf(report.siteId, useRow('raiseRules', report.siteId));
  const doubles = useDoubles(report);
  if (person === null) return null;
  const isLead = hasRole(person, ['lead']);
  const mayAnswer = isLead || (rules.technicianTakesUp && hasRole(person, ['technician']));
  return (
    <ScrollView role="main" contentContainerStyle={sheet.content}>
      <View style={isWide && sheet.columns}>
        <View style={isWide && sheet.column}>
          <Head report={report} />
          {doubles.length === 0 ? null : (
            <Section title="Likely the same">
              {doubles.map((double) => (
                <ReportRow key={double.id} report={double} />
              ))}
            </Section>
          )}
        </View>
        <View style={isWide && sheet.column}>
          <AnswerKeys report={report} doubles={doubles} mayAnswer={mayAnswer} isLead={isLead} />
          <Became report={report} />
          <Ours report={report} me={person.id} />
        </View>
      </View>
    </ScrollView>
  );
}

/** Other open reports that are likely of the same problem. */
function useDoubles(report: Report): readonly Report[] {
  const there = useRows('reports', 'place', report.placeId);
  return useMemo(() => {
    const problem = problemsToAnswer(there).find((each) => each.some(({ id }) => id === report.id)) ?? [];
    return problem.filter(({ id }) => id !== report.id);
  }, [there, report.id]);
}

function Head({ report }: { readonly report: Report }): ReactElement {
  const asset = useRow('assets', report.assetId);
  const place = useRow('places', report.placeId);
  const settings = useSettings(report.siteId);
  const bad = howBadWords(report);
  const say = (at: Report['at']): string =>
    settings === undefined ? '' : sayMoment(at, now(), settings.zone, settings.language);
  return (
    <View style={sheet.head}>
      <View style={sheet.line}>
        <UrgencyMark urgency={report.urgency} />
        <AppText as="label">{standingWords(report)}</AppText>
      </View>
      <PageTitle>{report.words}</PageTitle>
      {asset === undefined ? (
        <AppText soft>{place?.name ?? ''}, no machine named</AppText>
      ) : (
        <LinkPress href={`/plant/${asset.id}`}>
          <AppText>
            {asset.name} · {asset.tag} · {place?.name ?? ''}
          </AppText>
          {asset.retiredOn === undefined ? null : <AppText as="label">This machine is not in use any more.</AppText>}
        </LinkPress>
      )}
      {bad === '' ? null : (
        <AppText>
          Reported: {bad}
          {report.since === null ? '' : `, since ${say(report.since)}`}.
        </AppText>
      )}
      <AppText>
        {reporterWords(report)}, {say(report.at)}
      </AppText>
      <Reach report={report} />
      {photosOf(report).map((photo) => (
        <View key={photo.fileId} style={sheet.picture}>
          <Picture content={{ ...photo, caption: report.number }} />
        </View>
      ))}
    </View>
  );
}

/** How its reporter can be reached: a number is called, an address is written to. */
function Reach({ report }: { readonly report: Report }): ReactElement | null {
  const reporter = useRow('people', report.by);
  const reach = reporter?.reach ?? report.guest?.reach ?? '';
  if (reach === '') return null;
  const isMail = reach.includes('@');
  const number = reach.replace(/[^+\d]/g, '');
  const href = isMail ? `mailto:${reach.trim()}` : number.length >= 3 ? `tel:${number}` : null;
  if (href === null) return <AppText>{reach}</AppText>;
  return <Button word={isMail ? `Write to ${reach}` : `Call ${reach}`} onPress={() => window.location.assign(href)} />;
}

function Became({ report }: { readonly report: Report }): ReactElement {
  const router = useRouter();
  const settings = useSettings(report.siteId);
  return (
    <Section title="What became of it">
      {report.events.length === 0 ? <AppText soft>Nobody has answered yet.</AppText> : null}
      {report.events.map((event) => {
        const text = eventText(event);
        const photo = event.is === 'said' ? event.photo : undefined;
        const voice = event.is === 'said' ? event.voice : undefined;
        return (
          <Row key={event.id}>
            <View style={sheet.event}>
              <AppText as="small" soft>
                {settings === undefined ? '' : sayMoment(event.at, now(), settings.zone, settings.language)}
              </AppText>
              <AppText>{eventWords(event)}</AppText>
              {text === '' ? null : <AppText>{text}</AppText>}
              {photo === undefined ? null : <Picture content={{ ...photo, caption: report.number }} isSmall />}
              {voice === undefined ? null : <PlayVoice content={{ kind: 'voice', ...voice }} />}
            </View>
          </Row>
        );
      })}
      {report.workOrderId === null ? null : (
        <Button
          style={sheet.work}
          word="Open the work on it"
          onPress={() => router.navigate(`/shift/${report.workOrderId ?? ''}`)}
        />
      )}
    </Section>
  );
}

/** What whoever reads it may do: say more, say that they have it too. */
function Ours({ report, me }: { readonly report: Report; readonly me: string }): ReactElement | null {
  const [isSaying, setIsSaying] = useState(false);
  if (!isOpenReport(report)) return null;
  const isMine = isReporterOf(report, me as never);
  return (
    <View style={sheet.keys}>
      <Button
        word={report.state === 'asked' && isMine ? 'Answer' : 'Add something'}
        onPress={() => setIsSaying(true)}
      />
      {isMine ? null : (
        <Button word="I have it too" onPress={() => void performOrSay('report.me-too', { reportId: report.id })} />
      )}
      {isSaying ? <SayMoreSheet report={report} onClose={() => setIsSaying(false)} /> : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, paddingBottom: 32 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { flex: 1, minWidth: 0 },
  head: { gap: 6, alignItems: 'flex-start', maxWidth: 720 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 14 },
  picture: { width: '100%', maxWidth: 480 },
  event: { flexShrink: 1, minWidth: 0, gap: 2 },
  work: { marginTop: 12, alignSelf: 'flex-start' },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 16 },
});
