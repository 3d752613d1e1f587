import { useRouter } from 'expo-router';
import { useCallback, useMemo, useRef, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { create } from 'zustand';
import type { Asset } from '@oilcan/core/plant/plant';
import { isOpen } from '@oilcan/core/orders/work';
import { usePhone, useTable } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { FindField } from '../../../ui/fields/find-field';
import { Button } from '../../../ui/press/press';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { onSite, useSite } from '../../frame/page/use-site';
import { useLandmark } from '../../frame/page/pane';
import { TopBar } from '../../frame/page/top-bar';
import { useKeptScroll } from '../../frame/page/use-kept-scroll';
import { prepareFindingMachines, useFoundAssets } from '../../../data/find/use-found';
import { PlaceHead } from './place-head';
import { nodeIn, openAtFirst, plantTree, rowsInSight, type PlantRow } from './plant-tree';
import { conditionWords, PLACE_MISSING } from '../../../words/plant-words';
import { TreeRow } from './tree-row';
import { mdiQrcodeScan } from '@mdi/js';
import { asList } from '../../../ui/layout/list';

const asPlant = asList('Places and machines');

/** So many rows at most are open before anybody opened anything. */
const ROWS_AT_FIRST = 40;
const MOST_FOUND = 200;

const idOf = ({ node }: PlantRow): string => node.id;
const indexOf = (_: PlantRow, index: number): string => String(index);

/** What somebody opened or closed in the tree, until the page is loaded again. */
const useTreeState = create<{
  readonly turned: ReadonlyMap<string, boolean>;
  readonly turn: (id: string, open: boolean) => void;
}>((set) => ({
  turned: new Map(),
  turn: (id, open) => set(({ turned }) => ({ turned: new Map(turned).set(id, open) })),
}));

interface Props {
  /** The machine that is open beside it on a wide screen. */
  readonly chosen: string | undefined;
  /** The place that is looked at alone. */
  readonly at?: string | undefined;
}

/** Places and assets as a tree, with how they are and what is open on them. */
export function PlantScreen({ chosen, at }: Props): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const isWide = useIsWide();
  const scroller = useRef<FlatList<PlantRow>>(null);
  const kept = useKeptScroll(at === undefined ? '/plant' : `/plant?place=${at}`, scroller);
  const hasRows = usePhone((state) => state.hasRows);
  const site = useSite();
  const allSites = useTable('sites');
  const allPlaces = useTable('places');
  const allAssets = useTable('assets');
  const sites = useMemo(() => allSites.filter(({ id }) => site === null || id === site), [allSites, site]);
  const places = useMemo(() => onSite(allPlaces, site), [allPlaces, site]);
  const assets = useMemo(() => onSite(allAssets, site), [allAssets, site]);
  const works = useTable('workOrders');
  const { turned, turn } = useTreeState();
  const [find, setFind] = useState('');
  const openOn = useMemo(() => {
    const counts = new Map<string, number>();
    for (const { state, assetId } of works) if (isOpen(state)) counts.set(assetId, (counts.get(assetId) ?? 0) + 1);
    return counts;
  }, [works]);
  const tree = useMemo(() => plantTree({ sites, places, assets, openOn }), [sites, places, assets, openOn]);
  const place = useMemo(() => {
    const places = tree.flatMap(({ children }) => children);
    return at === undefined ? undefined : nodeIn(places, at);
  }, [tree, at]);
  const shown = useMemo(() => place?.children ?? tree, [place, tree]);
  const atFirst = useMemo(() => openAtFirst(shown, ROWS_AT_FIRST), [shown]);
  const isFinding = find.trim() !== '';
  const found = useFoundAssets(find, assets.length, assets);
  const rows = useMemo(
    () =>
      isFinding
        ? found.slice(0, MOST_FOUND).map((asset) => foundRow(asset, openOn))
        : rowsInSight(shown, (id) => turned.get(id) ?? atFirst.has(id)),
    [isFinding, found, shown, turned, atFirst, openOn],
  );
  const out = useMemo(() => assets.filter(({ condition }) => condition !== 'running'), [assets]);
  const go = useCallback((id: string) => router.navigate(`/plant/${id}`), [router]);
  const renderItem = useCallback(
    ({ item }: { readonly item: PlantRow }) => (
      <TreeRow {...item} isChosen={item.node.id === chosen} isFound={isFinding} onTurn={turn} onGo={go} />
    ),
    [chosen, isFinding, turn, go],
  );
  const landmark = useLandmark('Plant');
  const frame = [sheet.screen, isWide && { borderColor: palette.line, borderRightWidth: RULE }];
  if (!hasRows) {
    return (
      <View style={frame}>
        <TopBar title="Plant" />
        <View {...landmark} style={sheet.head}>
          <AppText live>Fetching the plant …</AppText>
        </View>
      </View>
    );
  }
  return (
    <View style={frame}>
      <TopBar title="Plant" />
      <FlatList
        ref={scroller}
        {...kept}
        // Whoever goes to another place begins at its head.
        key={at ?? 'all'}
        {...landmark}
        {...asPlant}
        data={rows}
        // While somebody types, a row is made into another instead of drawn anew, and none is kept ready beyond the screen.
        keyExtractor={isFinding ? indexOf : idOf}
        initialNumToRender={10}
        maxToRenderPerBatch={10}
        windowSize={isFinding ? 1 : 5}
        ListHeaderComponent={
          <View style={sheet.head}>
            {place !== undefined && !isFinding ? (
              <PlaceHead place={place} />
            ) : (
              <>
                <AppText as="title" level={2}>
                  {out.length === 0
                    ? 'Everything runs'
                    : `${counted(out.length, 'machine is', 'machines are')} stopped or not fully running`}
                </AppText>
                {out.length > 0 && out.length <= 6 && !isFinding ? <OutOfOrder assets={out} onGo={go} /> : null}
              </>
            )}
            {at !== undefined && place === undefined ? <AppText live>{PLACE_MISSING}</AppText> : null}
            <View style={sheet.find}>
              <View style={sheet.field}>
                <FindField
                  label="Find a machine"
                  value={find}
                  onChange={setFind}
                  onFocus={() => void prepareFindingMachines()}
                />
              </View>
              <Button word="Scan" icon={mdiQrcodeScan} style={sheet.scan} onPress={() => router.navigate('/scan')} />
            </View>
            {isFinding && found.length > 0 ? (
              <AppText as="small" soft live>
                {found.length > MOST_FOUND
                  ? `${found.length} fit; the first ${MOST_FOUND} are shown. Type on to narrow them.`
                  : counted(found.length, 'machine fits', 'machines fit')}
              </AppText>
            ) : null}
          </View>
        }
        ListEmptyComponent={
          <AppText style={sheet.head}>
            {isFinding
              ? `No machine fits “${find.trim()}”.`
              : place === undefined
                ? 'No machine is on your sites.'
                : 'No machine stands here.'}
          </AppText>
        }
        renderItem={renderItem}
      />
    </View>
  );
}

/** The row of a machine that was found stays the same one, so that a further letter does not draw it again. */
const foundRows = new WeakMap<Asset, PlantRow>();

function foundRow(asset: Asset, openOn: ReadonlyMap<string, number>): PlantRow {
  const open = openOn.get(asset.id) ?? 0;
  const before = foundRows.get(asset);
  if (before?.node.open === open) return before;
  const node = { id: asset.id, name: asset.name, asset, children: [], assets: 1, out: 0, open };
  const row: PlantRow = { depth: 0, isOpen: false, node };
  foundRows.set(asset, row);
  return row;
}

function OutOfOrder({
  assets,
  onGo,
}: {
  readonly assets: readonly Asset[];
  readonly onGo: (id: string) => void;
}): ReactElement {
  const palette = usePalette();
  return (
    <View>
      {assets.map((asset) => (
        <LinkPress
          key={asset.id}
          href={`/plant/${asset.id}`}
          onGo={() => onGo(asset.id)}
          style={[sheet.out, { borderColor: palette.faulty }]}
        >
          <AppText as="label">
            {asset.name}: {conditionWords[asset.condition].toLowerCase()}
          </AppText>
        </LinkPress>
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { padding: 16, gap: 10 },
  find: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  scan: { marginTop: 6, minHeight: 50 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  out: { borderLeftWidth: 6, paddingLeft: 12 },
});
