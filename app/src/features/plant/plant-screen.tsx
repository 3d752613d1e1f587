import { useRouter } from 'expo-router';
import { memo, useCallback, useMemo, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { create } from 'zustand';
import { isOpen, type Asset } from '@oilcan/core';
import { useRow, useTable } from '../../data/store';
import { Field } from '../../ui/field';
import { Icon } from '../../ui/icon';
import { Button, Press } from '../../ui/press';
import { RULE, useIsWide, usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { onSite, useSite } from '../frame/use-site';
import { TopBar } from '../frame/top-bar';
import { findableAssets, findAssets } from './find-assets';
import { openAtFirst, plantTree, rowsInSight, type PlantRow } from './plant-tree';
import { conditionWords } from './plant-words';

/** So many rows at most are open before anybody opened anything. */
const ROWS_AT_FIRST = 40;
const MOST_FOUND = 200;
const INDENT = 16;

/** What somebody opened or closed in the tree, until the page is loaded again. */
const useTreeState = create<{
  readonly turned: ReadonlyMap<string, boolean>;
  readonly turn: (id: string, open: boolean) => void;
}>((set) => ({
  turned: new Map(),
  turn: (id, open) => set(({ turned }) => ({ turned: new Map(turned).set(id, open) })),
}));

/** Places and assets as a tree, with how they are and what is open on them. */
export function PlantScreen({ chosen }: { readonly chosen: string | undefined }): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const isWide = useIsWide();
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
  const atFirst = useMemo(() => openAtFirst(tree, ROWS_AT_FIRST), [tree]);
  const findable = useMemo(() => findableAssets(assets, places), [assets, places]);
  const isFinding = find.trim() !== '';
  const found = useMemo(() => (isFinding ? findAssets(findable, find) : []), [findable, find, isFinding]);
  const rows = useMemo(
    () =>
      isFinding
        ? found.slice(0, MOST_FOUND).map((asset) => foundRow(asset, openOn))
        : rowsInSight(tree, (id) => turned.get(id) ?? atFirst.has(id)),
    [isFinding, found, tree, turned, atFirst, openOn],
  );
  const out = useMemo(() => assets.filter(({ condition }) => condition !== 'running'), [assets]);
  const go = useCallback((id: string) => router.navigate(`/plant/${id}`), [router]);
  const renderItem = useCallback(
    ({ item }: { readonly item: PlantRow }) => (
      <TreeRow {...item} isChosen={item.node.id === chosen} isFound={isFinding} onTurn={turn} onGo={go} />
    ),
    [chosen, isFinding, turn, go],
  );
  return (
    <View style={[sheet.screen, isWide && { borderColor: palette.line, borderRightWidth: RULE }]}>
      <TopBar title="Plant" />
      <FlatList
        role="main"
        data={rows}
        keyExtractor={({ node }) => node.id}
        initialNumToRender={10}
        maxToRenderPerBatch={10}
        windowSize={5}
        ListHeaderComponent={
          <View style={sheet.head}>
            <Words as="title" level={2}>
              {out.length === 0
                ? 'Everything runs'
                : `${counted(out.length, 'machine is', 'machines are')} stopped or reduced`}
            </Words>
            {out.length > 0 && out.length <= 6 && !isFinding ? <OutOfOrder assets={out} onGo={go} /> : null}
            <View style={sheet.find}>
              <View style={sheet.field}>
                <Field label="Find a machine" value={find} onChange={setFind} />
              </View>
              <Button word="Scan" icon="scan" style={sheet.scan} onPress={() => router.navigate('/scan')} />
            </View>
            {isFinding && found.length > 0 ? (
              <Words as="small" soft live>
                {found.length > MOST_FOUND
                  ? `${found.length} fit; the first ${MOST_FOUND} are shown. Type on to narrow them.`
                  : counted(found.length, 'machine fits', 'machines fit')}
              </Words>
            ) : null}
          </View>
        }
        ListEmptyComponent={
          <Words style={sheet.head}>
            {isFinding ? `No machine fits “${find.trim()}”.` : 'No machine is on your sites.'}
          </Words>
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
        <Press
          key={asset.id}
          role="link"
          onPress={() => onGo(asset.id)}
          style={[sheet.out, { borderColor: palette.faulty }]}
        >
          <Words as="label">
            {asset.name}: {conditionWords[asset.condition].toLowerCase()}
          </Words>
        </Press>
      ))}
    </View>
  );
}

interface TreeRowProps extends PlantRow {
  readonly isChosen: boolean;
  readonly isFound: boolean;
  readonly onTurn: (id: string, open: boolean) => void;
  readonly onGo: (id: string) => void;
}

const TreeRow = memo(function TreeRow({
  node,
  depth,
  isOpen: open,
  isChosen,
  isFound,
  onTurn,
  onGo,
}: TreeRowProps): ReactElement {
  const palette = usePalette();
  const { asset } = node;
  const place = useRow('places', isFound ? asset?.placeId : null);
  const canOpen = node.children.length > 0;
  const turn = (): void => onTurn(node.id, !open);
  const standing =
    asset !== null && asset.condition !== 'running' ? conditionWords[asset.condition] : standingWords(node, open);
  return (
    <View
      style={[
        sheet.row,
        {
          borderColor: palette.line,
          paddingLeft: 8 + depth * INDENT,
          backgroundColor: isChosen ? palette.chosen : 'transparent',
        },
      ]}
    >
      {canOpen ? (
        <Press onPress={turn} label={`${open ? 'Fold' : 'Unfold'} ${node.name}`} style={sheet.turn}>
          <Icon name={open ? 'down' : 'right'} />
        </Press>
      ) : (
        <View style={sheet.leaf} />
      )}
      <Press
        role={asset === null ? 'button' : 'link'}
        onPress={() => (asset === null ? turn() : onGo(asset.id))}
        isHere={isChosen}
        style={sheet.name}
      >
        <Words as={asset === null ? 'label' : 'text'}>{node.name}</Words>
        {asset === null ? null : (
          <Words as="small" soft>
            {asset.tag}
            {place === undefined ? '' : ` · ${place.name}`}
          </Words>
        )}
      </Press>
      <View style={sheet.facts}>
        {standing === null ? null : <Words as="label">{standing}</Words>}
        {node.open === 0 ? null : <Words as="mark">{node.open} open</Words>}
      </View>
    </View>
  );
});

/** Of a place or a closed machine: how many under it are not as they should be. */
function standingWords(node: PlantRow['node'], open: boolean): string | null {
  const below = node.asset === null || !open ? node.out : 0;
  return below === 0 || (node.asset === null && open) ? null : `${below} out of order`;
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { padding: 16, gap: 10 },
  find: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  scan: { marginTop: 6, minHeight: 50 },
  out: { borderLeftWidth: 6, paddingLeft: 12 },
  row: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, minHeight: 52, paddingRight: 16 },
  turn: { alignItems: 'center' },
  leaf: { width: 20 },
  name: { flex: 1, minWidth: 0, paddingVertical: 6 },
  facts: { alignItems: 'flex-end', paddingLeft: 8 },
});
