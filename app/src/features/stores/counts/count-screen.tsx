import { useMemo, useState, type ReactElement } from 'react';
import { FlatList, ScrollView, StyleSheet, View } from 'react-native';
import { mdiBarcodeScan } from '@mdi/js';
import type { BinId, StoreId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { varianceOf, type Count } from '@oilcan/core/stores/counts';
import { wantsCount, type Store } from '@oilcan/core/stores/stock';
import { usePhone, useRow, useTable } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { CheckRow } from '../../../ui/fields/check-row';
import { Choice, Choices } from '../../../ui/fields/choice';
import { FindField } from '../../../ui/fields/find-field';
import { asList } from '../../../ui/layout/list';
import { Section } from '../../../ui/layout/section';
import { Button, Press } from '../../../ui/press/press';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { onSite, useSite } from '../../frame/page/use-site';
import { CountSheet } from './count-sheet';
import { KeptCount, PostThoseThatMeet } from './kept-counts';
import { ScanBinSheet } from './scan-bin-sheet';
import { useBinsToCount, type ToCount } from './use-bins-to-count';

const asRows = asList('Bins to count');

/** Counting a store in the order of the walk, and what becomes of what was counted. */
export function CountScreen({ bin: given }: { readonly bin?: string | undefined }): ReactElement {
  const back = useBack('/stores');
  const isWide = useIsWide();
  const palette = usePalette();
  const site = useSite();
  const all = useTable('stores');
  const stores = useMemo(() => onSite(all, site), [all, site]);
  const givenBin = useRow('bins', given as BinId | undefined);
  const [storeId, setStoreId] = useState<StoreId | undefined>(givenBin?.storeId);
  const store = stores.find(({ id }) => id === storeId) ?? stores.find(({ isAttended }) => isAttended) ?? stores[0];
  const bins = useBinsToCount(store?.id);
  const [find, setFind] = useState('');
  const [opened, setOpened] = useState<string | null>(
    () => bins.find(({ level }) => level.binId === given)?.level.id ?? null,
  );
  const [isScanning, setIsScanning] = useState(false);
  const shown = useMemo(() => shownOf(bins, find), [bins, find]);
  const allCounts = useTable('counts');
  const kept = useMemo(
    () => allCounts.filter((count) => count.storeId === store?.id && count.settled === null).sort(byVariance),
    [allCounts, store?.id],
  );
  const at = shown.findIndex(({ level }) => level.id === opened);
  const current = shown[at];
  const next = shown.slice(at + 1).find((each) => each.kept === undefined);
  const differ = kept.filter((count) => varianceOf(count) !== 0).length;
  const keptRows = (
    <>
      <PostThoseThatMeet kept={kept} />
      {kept.map((count) => (
        <KeptCount key={count.id} count={count} />
      ))}
    </>
  );
  return (
    <View style={sheet.screen}>
      <TopBar title="Count" {...back} />
      <View style={sheet.columns}>
        <FlatList
          role="main"
          {...asRows}
          data={shown}
          keyExtractor={({ level }) => level.id}
          initialNumToRender={14}
          contentContainerStyle={sheet.list}
          ListHeaderComponent={
            <View style={sheet.head}>
              <AppText as="title" level={2}>
                {kept.length === 0
                  ? 'Nothing is counted yet'
                  : `${counted(kept.length, 'bin is', 'bins are')} counted, ${differ === 0 ? 'none differs' : counted(differ, 'differs', 'differ')}`}
              </AppText>
              <StoreChoice stores={stores} chosen={store} onChoose={setStoreId} />
              {store === undefined ? null : <HowCounted store={store} />}
              {isWide || kept.length === 0 ? null : (
                <Section title="Counted, not posted" aside={String(kept.length)}>
                  {keptRows}
                </Section>
              )}
              <View style={sheet.find}>
                <View style={sheet.field}>
                  <FindField label="Shelf, bin or part" value={find} onChange={setFind} />
                </View>
                <Button
                  word="Scan"
                  icon={mdiBarcodeScan}
                  label="Scan a bin"
                  style={sheet.scan}
                  onPress={() => setIsScanning(true)}
                />
              </View>
            </View>
          }
          ListEmptyComponent={<AppText soft>No bin fits.</AppText>}
          renderItem={({ item }) => (
            <BinRow item={item} isBlind={store?.isCountedBlind === true} onPress={() => setOpened(item.level.id)} />
          )}
        />
        {isWide ? (
          <ScrollView style={[sheet.beside, { borderColor: palette.line }]} contentContainerStyle={sheet.besideContent}>
            <Section title="Counted, not posted" aside={String(kept.length)}>
              {kept.length === 0 ? (
                <AppText soft>What is counted stands here until somebody posts it.</AppText>
              ) : (
                keptRows
              )}
            </Section>
          </ScrollView>
        ) : null}
      </View>
      {current === undefined ? null : (
        <CountSheet
          key={current.level.id}
          part={current.part}
          level={current.level}
          isBlind={store?.isCountedBlind === true}
          next={next?.bin.label ?? null}
          onKept={() => setOpened(next?.level.id ?? null)}
          onClose={() => setOpened(null)}
        />
      )}
      {isScanning ? (
        <ScanBinSheet
          bins={bins}
          onFound={(id) => {
            setFind('');
            setIsScanning(false);
            setOpened(id);
          }}
          onClose={() => setIsScanning(false)}
        />
      ) : null}
    </View>
  );
}

/** What differs most stands first. */
const byVariance = (a: Count, b: Count): number =>
  Math.abs(varianceOf(b)) - Math.abs(varianceOf(a)) || (a.at < b.at ? -1 : 1);

/** By a shelf such as `C`, a bin, or words of the part. */
function shownOf(bins: readonly ToCount[], find: string): readonly ToCount[] {
  const wanted = find.trim().toLowerCase();
  if (wanted === '') return bins;
  const onShelf = bins.filter(({ bin }) => bin.label.toLowerCase().startsWith(wanted));
  if (onShelf.length > 0) return onShelf;
  return bins.filter(({ part }) => `${part.number} ${part.name}`.toLowerCase().includes(wanted));
}

interface StoreChoiceProps {
  readonly stores: readonly Store[];
  readonly chosen: Store | undefined;
  readonly onChoose: (id: StoreId) => void;
}

function StoreChoice({ stores, chosen, onChoose }: StoreChoiceProps): ReactElement | null {
  if (stores.length < 2) return null;
  return (
    <Choices label="Which store">
      {stores.map(({ id, name }) => (
        <Choice key={id} word={name} isChosen={id === chosen?.id} onPress={() => onChoose(id)} />
      ))}
    </Choices>
  );
}

/** Whether who counts sees the books: a lead says it. */
function HowCounted({ store }: { readonly store: Store }): ReactElement | null {
  const isLead = usePhone(({ person }) => person !== null && hasRole(person, ['lead']));
  const isBlind = store.isCountedBlind === true;
  if (!isLead) return isBlind ? <AppText soft>Counted without seeing the books.</AppText> : null;
  const change = (): void => {
    void performOrSay('store.count-blind', { siteId: store.siteId, storeId: store.id, isBlind: !isBlind });
  };
  return <CheckRow title="Who counts here does not see the books" isChosen={isBlind} onPress={change} />;
}

interface BinRowProps {
  readonly item: ToCount;
  readonly isBlind: boolean;
  readonly onPress: () => void;
}

function BinRow({ item: { level, bin, part, kept }, isBlind, onPress }: BinRowProps): ReactElement {
  const palette = usePalette();
  return (
    <Press
      onPress={onPress}
      style={[sheet.row, { borderColor: palette.line }]}
      label={`Count ${bin.label}, ${part.name}`}
    >
      <AppText as="label" style={sheet.bin}>
        {bin.label}
      </AppText>
      <View style={sheet.words}>
        <AppText>{part.name}</AppText>
        <AppText as="small" soft>
          {part.number}
          {wantsCount(level) ? ' · below zero by the books' : ''}
        </AppText>
      </View>
      <AppText as="mark" soft={kept === undefined}>
        {kept !== undefined ? `counted ${amountOf(kept.quantity, part)}` : isBlind ? '' : amountOf(level.onHand, part)}
      </AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  columns: { flex: 1, minHeight: 0, flexDirection: 'row' },
  beside: { flexGrow: 0, flexShrink: 0, flexBasis: 440, borderLeftWidth: RULE },
  besideContent: { paddingHorizontal: 16, paddingBottom: 24 },
  list: { paddingHorizontal: 16, paddingBottom: 24, width: '100%', maxWidth: 860 },
  head: { paddingVertical: 16, gap: 12 },
  find: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  scan: { marginTop: 6, minHeight: 50 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1, paddingVertical: 8 },
  bin: { minWidth: 56 },
  words: { flex: 1, minWidth: 0 },
});
