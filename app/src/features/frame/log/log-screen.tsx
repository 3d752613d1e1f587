import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { FlatList, ScrollView, StyleSheet, View } from 'react-native';
import { mdiDownload, mdiFilterVariant } from '@mdi/js';
import { addMinutes, startOfDay } from '@oilcan/core/kernel';
import type { LoggedOperation } from '@oilcan/core/sync';
import { now, peekRow, useSettings } from '../../../data/store/store';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../page/top-bar';
import { useBack } from '../page/use-back';
import { LogDetail, LogRow } from './log-row';
import { didWords, whoseWords } from './log-words';
import { NarrowSheet, spanWords, type Narrowing, type Span } from './narrow-sheet';
import { saveLog } from './save-log';
import { everythingLogged, useLog } from './use-log';
import { asList } from '../../../ui/layout/list';

const asRows = asList('What was done');

const DAY_MINUTES = 24 * 60;
const everything: Narrowing = { by: null, span: 'all' };

/**
 * Who did what, when, on which device, and what was before and after.
 *
 * @param of one thing, as `workOrders:id`; absent for all
 */
export function LogScreen({ of }: { readonly of?: string | undefined }): ReactElement | null {
  const back = useBack('/desk');
  const router = useRouter();
  const settings = useSettings();
  const say = useNotice((state) => state.say);
  const [narrowing, setNarrowing] = useState(everything);
  const [isNarrowing, setIsNarrowing] = useState(false);
  const [opened, setOpened] = useState<string | null>(null);
  const isWide = useIsWide();
  const palette = usePalette();
  const zone = settings?.zone ?? 'utc';
  const question = useMemo(() => questionOf(of, narrowing, zone), [of, narrowing, zone]);
  const log = useLog(question);
  if (settings === undefined) return null;
  const save = async (): Promise<void> => {
    const all = await everythingLogged(question);
    if (all === null) return say('There is no signal. Try again when there is.');
    saveLog(all.operations);
    say(
      all.isWhole
        ? 'who-did-what.csv is with your downloads.'
        : 'The newest 5,000 are with your downloads. Narrow it for older ones.',
    );
  };
  const open = log.operations.find(({ id }) => id === opened) ?? (isWide ? log.operations[0] : undefined);
  const render = ({ item }: { readonly item: LoggedOperation }): ReactElement => (
    <LogRow
      operation={item}
      settings={settings}
      isOpen={item.id === open?.id}
      isBeside={isWide}
      onPress={(id) => setOpened(id === opened && !isWide ? null : id)}
    />
  );
  return (
    <View style={sheet.screen}>
      <TopBar title="Who did what" {...back} />
      <View style={sheet.columns}>
        <FlatList
          style={isWide ? [sheet.beside, { borderColor: palette.line }] : null}
          extraData={open?.id}
          role="main"
          {...asRows}
          data={log.operations}
          keyExtractor={({ id }) => id}
          renderItem={render}
          initialNumToRender={20}
          onEndReached={log.more}
          contentContainerStyle={sheet.list}
          ListHeaderComponent={
            <View style={sheet.head}>
              <AppText as="title" level={2}>
                {aboutWords(of)}
              </AppText>
              <AppText soft>
                {[
                  narrowing.by === null ? 'By everybody' : `By ${whoseWords(narrowing.by)}`,
                  spanWords[narrowing.span].toLowerCase(),
                ].join(', ')}
              </AppText>
              <View style={sheet.buttons}>
                <Button icon={mdiFilterVariant} word="Filter" onPress={() => setIsNarrowing(true)} />
                <Button icon={mdiDownload} word="Save as CSV" onPress={() => void save()} />
                {of === undefined ? null : (
                  <Button word="Show everything" onPress={() => router.setParams({ of: '' })} />
                )}
              </View>
            </View>
          }
          ListEmptyComponent={<AppText>{emptyWords[log.is]}</AppText>}
        />
        {isWide && open !== undefined ? (
          <ScrollView
            role="complementary"
            aria-label="What it changed"
            style={sheet.detail}
            contentContainerStyle={sheet.list}
          >
            <AppText as="heading">{didWords(open)}</AppText>
            <LogDetail operation={open} settings={settings} />
          </ScrollView>
        ) : null}
      </View>
      {isNarrowing ? (
        <NarrowSheet narrowing={narrowing} onChoose={setNarrowing} onClose={() => setIsNarrowing(false)} />
      ) : null}
    </View>
  );
}

const emptyWords = {
  looking: 'Looking …',
  there: 'Nothing was done here.',
  'without signal': 'What was done shows when there is signal.',
} as const;

function aboutWords(of: string | undefined): string {
  const [table, id = ''] = (of ?? '').split(':');
  if (table === 'workOrders') return `On ${peekRow('workOrders', id)?.number ?? 'this work order'}`;
  if (table === 'assets') return `On ${peekRow('assets', id)?.name ?? 'this machine'}`;
  return 'On everything';
}

const days: Readonly<Record<Exclude<Span, 'all'>, number>> = { today: 0, week: 6, month: 29 };

/** What the server is asked, as the query of an address. */
function questionOf(of: string | undefined, { by, span }: Narrowing, zone: string): string {
  const from = span === 'all' ? null : addMinutes(startOfDay(now(), zone), -days[span] * DAY_MINUTES);
  const asked = new URLSearchParams();
  if (of !== undefined && of !== '') asked.set('thing', of);
  if (by !== null) asked.set('by', by);
  if (from !== null) asked.set('from', from);
  return asked.toString();
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  beside: { flexGrow: 0, width: 480, borderRightWidth: RULE },
  detail: { flex: 1 },
  list: { padding: 16, maxWidth: 760 },
  head: { gap: 4, paddingBottom: 12 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginTop: 8 },
});
