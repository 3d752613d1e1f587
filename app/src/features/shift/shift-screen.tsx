import { useRouter } from 'expo-router';
import { useCallback, useEffect, useState, type ReactElement } from 'react';
import { SectionList, StyleSheet, View } from 'react-native';
import { formatDuration, type WorkOrder } from '@oilcan/core';
import { counted, groupWords } from '../../words/work-words';
import { markOnce } from '../../data/marks';
import { usePhone } from '../../data/store';
import { Field } from '../../ui/field';
import { useIsWide, usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import { TopBar } from '../frame/top-bar';
import { firstReason, shiftHeadline } from './shift-list';
import { useShift } from './use-shift';
import { WorkRow } from './work-row';

/** My work, what comes first first. `chosen` is the work order that is open beside it on a wide screen. */
export function ShiftScreen({ chosen }: { readonly chosen: string | undefined }): ReactElement | null {
  const palette = usePalette();
  const router = useRouter();
  const isWide = useIsWide();
  const hasRows = usePhone((state) => state.hasRows);
  const hasPerson = usePhone((state) => state.person !== null);
  const [find, setFind] = useState('');
  const shift = useShift(find);
  const present = shift?.present;
  const open = useCallback((id: string) => router.navigate(`/shift/${id}`), [router]);
  const renderItem = useCallback(
    ({ item }: { readonly item: WorkOrder }) =>
      present === undefined ? null : (
        <WorkRow work={item} present={present} isChosen={item.id === chosen} onOpen={open} />
      ),
    [present, chosen, open],
  );

  const hasList = shift !== null && shift.sections.length > 0;
  useEffect(() => {
    if (hasList) markOnce('oilcan:first-row');
  }, [hasList]);

  if (!hasPerson) return null;
  if (shift === null) return <Opening hasRows={hasRows} />;
  const { person, settings, sections, assets } = shift;
  const reason = find === '' ? firstReason(sections, assets, shift.present, settings) : null;
  return (
    <View style={[sheet.screen, isWide && { borderColor: palette.line, borderRightWidth: 2 }]}>
      <TopBar title="Shift" aside={person.name} />
      <SectionList
        role="main"
        sections={sections}
        keyExtractor={(work) => work.id}
        renderItem={renderItem}
        stickySectionHeadersEnabled={false}
        initialNumToRender={6}
        maxToRenderPerBatch={6}
        windowSize={7}
        extraData={present}
        ListHeaderComponent={
          <View style={sheet.head}>
            <Words as="title" level={2}>
              {shiftHeadline(sections, person, settings)}
            </Words>
            {reason === null ? null : <Words soft>{reason}</Words>}
            <Field label="Find: number, words, asset, place" value={find} onChange={setFind} />
          </View>
        }
        renderSectionHeader={({ section }) => (
          <View style={sheet.group}>
            <Words as="heading" level={3}>
              {groupWords[section.group]}
            </Words>
            <Words as="mark" soft>
              {counted(section.data.length, 'job', 'jobs')}, {formatDuration(section.estimateMinutes)}
            </Words>
          </View>
        )}
        ListEmptyComponent={
          <View style={sheet.head}>
            <Words>
              {find === ''
                ? 'No work is assigned to you or your crew right now.'
                : `Nothing here fits “${find}”. Clear the field to see all.`}
            </Words>
          </View>
        }
      />
    </View>
  );
}

function Opening({ hasRows }: { readonly hasRows: boolean }): ReactElement {
  const contact = usePhone((state) => state.contact);
  return (
    <View style={sheet.head} role="main">
      <Words as="title" level={1}>
        Shift
      </Words>
      <Words live>
        {contact === 'no-signal' && !hasRows
          ? 'Your work has not been fetched yet and the server cannot be reached. It comes as soon as there is signal.'
          : 'Fetching your work …'}
      </Words>
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { padding: 16, gap: 8 },
  group: {
    flexDirection: 'row',
    alignItems: 'baseline',
    gap: 10,
    paddingHorizontal: 16,
    paddingTop: 14,
    paddingBottom: 6,
  },
});
