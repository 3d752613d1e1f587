import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { formatDuration, formatSums } from '@oilcan/core/kernel';
import { costOf } from '@oilcan/core/registry';
import { isLate } from '@oilcan/core/shift';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { now, useRow, useRows, useSettings, useTable } from '../../data/store';
import { httpLink } from '../../data/http-link';
import { sentenceOfFailure, useAnswer } from '../../data/use-answer';
import { useNotice } from '../../ui/notice';
import { Button, Press } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { useNow } from '../../data/use-now';
import { Words } from '../../ui/words';
import { sayMoment } from '../../words/dates';
import { counted, stateWords } from '../../words/work-words';
import { CatalogueSheet } from '../faults';
import { DemandsSheet } from '../lifecycle';
import { TopBar } from '../page/top-bar';
import { Section } from '../../ui/section';

/** The lead's view: what was finished and waits to be looked at, and what is underway now. */
export function DeskScreen(): ReactElement {
  const workOrders = useTable('workOrders');
  const present = useNow(30);
  const [opened, setOpened] = useState<'demands' | 'catalogue' | null>(null);
  const groups = useMemo(() => {
    const finished = workOrders.filter((work) => work.state === 'finished');
    finished.sort((a, b) => ((a.finishedAt ?? '') < (b.finishedAt ?? '') ? 1 : -1));
    return {
      finished,
      underway: workOrders.filter((work) => work.state === 'underway' || work.state === 'held'),
      late: workOrders.filter((work) => isLate(work, present)).length,
      open: workOrders.filter((work) => isOpen(work.state)).length,
    };
  }, [workOrders, present]);
  return (
    <View style={sheet.screen}>
      <TopBar title="Desk" />
      <ScrollView role="main" contentContainerStyle={sheet.content}>
        <View style={sheet.readable}>
          <Words as="title" level={2}>
            {groups.finished.length === 0
              ? 'Nothing waits for you'
              : `${counted(groups.finished.length, 'finished job waits', 'finished jobs wait')} for your look`}
          </Words>
          <Words soft>
            {counted(groups.open, 'job is', 'jobs are')} open, {groups.late} of them late;{' '}
            {counted(groups.underway.length, 'is', 'are')} underway or held.
          </Words>
          <UndeliveredMails />
          <View style={sheet.settings}>
            <Button word="What is owed" onPress={() => setOpened('demands')} />
            <Button word="Catalogue of faults" onPress={() => setOpened('catalogue')} />
          </View>
          {opened === 'demands' ? <DemandsSheet onClose={() => setOpened(null)} /> : null}
          {opened === 'catalogue' ? <CatalogueSheet onClose={() => setOpened(null)} /> : null}
          <View style={sheet.columns}>
            <View style={sheet.column}>
              <Section title="Finished">
                {groups.finished.length === 0 ? (
                  <Words soft style={sheet.none}>
                    Finished work appears here the moment it is done.
                  </Words>
                ) : null}
                {groups.finished.map((work) => (
                  <DeskRow key={work.id} work={work} />
                ))}
              </Section>
            </View>
            <View style={sheet.column}>
              <Section title="Underway and held">
                {groups.underway.map((work) => (
                  <DeskRow key={work.id} work={work} />
                ))}
              </Section>
            </View>
          </View>
        </View>
      </ScrollView>
    </View>
  );
}

/** Mails to people of my sites that could not be delivered; nothing at all when there are none. */
function UndeliveredMails(): ReactElement | null {
  const palette = usePalette();
  const say = useNotice((state) => state.say);
  const [again, setAgain] = useState(0);
  const answered = useAnswer(httpLink.undeliveredMails, again);
  if (answered.is !== 'there' || answered.answer.mails.length === 0) return null;
  const tryAgain = (id: string): void => {
    httpLink.tryMailAgain(id).then(
      () => setAgain(again + 1),
      (error: unknown) => say(sentenceOfFailure(error)),
    );
  };
  return (
    <Section title="Mails that could not be delivered">
      {answered.answer.mails.map(({ id, to, subject, tries }) => (
        <View key={id} style={[sheet.row, { borderColor: palette.line }]}>
          <View style={sheet.words}>
            <Words>{subject}</Words>
            <Words as="small" soft>
              To {to}, tried {counted(tries, 'time', 'times')}
            </Words>
          </View>
          <Button word="Try again" label={`Try again to mail ${to}: ${subject}`} onPress={() => tryAgain(id)} />
        </View>
      ))}
    </Section>
  );
}

function DeskRow({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const palette = usePalette();
  const router = useRouter();
  const settings = useSettings(work.siteId);
  const asset = useRow('assets', work.assetId);
  const by = useRow('people', work.finishedBy ?? work.personIds[0]);
  const entries = useRows('entries', 'workOrder', work.id);
  if (settings === undefined) return null;
  const cost = costOf(entries);
  const strange = entries.filter(({ arrival }) => arrival !== undefined).length;
  const when =
    work.finishedAt === null
      ? stateWords[work.state]
      : sayMoment(work.finishedAt, now(), settings.zone, settings.language);
  return (
    <Press
      role="link"
      onPress={() => router.navigate(`/shift/${work.id}`)}
      style={[sheet.row, { borderColor: palette.line }]}
      testID={`desk-${work.number}`}
    >
      <View style={sheet.words}>
        <Words as="row" lines={2}>
          {work.number} {work.title}
        </Words>
        <Words as="small" soft>
          {asset?.name} · {by?.name ?? ''} · {when}
        </Words>
        {strange === 0 ? null : (
          <Words as="small">
            {counted(strange, 'time', 'times')} to check: came in late, or by a clock that was off
          </Words>
        )}
      </View>
      <View style={sheet.sums}>
        <Words as="label">{formatDuration(cost.laborMinutes)}</Words>
        <Words as="mark" soft>
          {formatSums(cost.total, settings.currency, settings.language)}
        </Words>
      </View>
    </Press>
  );
}

const sheet = StyleSheet.create({
  settings: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginTop: 12 },
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, alignItems: 'center' },
  readable: { width: '100%', maxWidth: 1180, gap: 4 },
  columns: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 32 },
  column: { flexGrow: 1, flexBasis: 340, minWidth: 0 },
  none: { paddingVertical: 12 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1, paddingVertical: 10 },
  words: { flex: 1, minWidth: 0 },
  sums: { alignItems: 'flex-end' },
});
