import { useMemo, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { isOpen, type Asset, type AssetCondition } from '@oilcan/core';
import { useRow, useRows, useTable } from '../../data/store';
import { Field } from '../../ui/field';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { TopBar } from '../frame/top-bar';

const conditionWords: Readonly<Record<AssetCondition, string>> = {
  running: 'Running',
  reduced: 'Reduced',
  stopped: 'Stopped',
};

interface Placed {
  readonly asset: Asset;
  readonly depth: number;
}

/** Assets under what they are part of, with how they are and what is open on them. */
export function PlantScreen(): ReactElement {
  const assets = useTable('assets');
  const [find, setFind] = useState('');
  const shown = useMemo(() => placed(assets, find), [assets, find]);
  const out = assets.filter((asset) => asset.condition !== 'running').length;
  return (
    <View style={sheet.screen}>
      <TopBar title="Plant" />
      <FlatList
        role="main"
        data={shown}
        keyExtractor={({ asset }) => asset.id}
        initialNumToRender={14}
        contentContainerStyle={sheet.list}
        ListHeaderComponent={
          <View style={sheet.head}>
            <Words as="title" level={2}>
              {out === 0 ? 'Everything runs' : `${counted(out, 'machine is', 'machines are')} stopped or reduced`}
            </Words>
            <Field label="Find a machine: name or tag" value={find} onChange={setFind} />
          </View>
        }
        ListEmptyComponent={<Words style={sheet.head}>No machine fits “{find}”.</Words>}
        renderItem={({ item }) => <AssetRow {...item} />}
      />
    </View>
  );
}

/** The tree from its roots downward; while finding, only what fits, without its place in the tree. */
function placed(assets: readonly Asset[], find: string): Placed[] {
  const wanted = find.trim().toLowerCase();
  const byName = [...assets].sort((a, b) => (a.tag < b.tag ? -1 : 1));
  if (wanted !== '') {
    return byName
      .filter((asset) => `${asset.name} ${asset.tag}`.toLowerCase().includes(wanted))
      .map((asset) => ({ asset, depth: 0 }));
  }
  const children = new Map<string | null, Asset[]>();
  for (const asset of byName) children.set(asset.parentId, [...(children.get(asset.parentId) ?? []), asset]);
  const under = (parentId: string | null, depth: number): Placed[] =>
    (children.get(parentId) ?? []).flatMap((asset) => [{ asset, depth }, ...under(asset.id, depth + 1)]);
  return under(null, 0);
}

function AssetRow({ asset, depth }: Placed): ReactElement {
  const palette = usePalette();
  const place = useRow('places', asset.placeId);
  const work = useRows('workOrders', 'asset', asset.id);
  const open = work.filter((each) => isOpen(each.state)).length;
  const isOut = asset.condition !== 'running';
  return (
    <View style={[sheet.row, { borderColor: palette.line, paddingLeft: depth * 18 }]}>
      <View style={sheet.words}>
        <Words as={depth === 0 ? 'row' : 'text'}>{asset.name}</Words>
        <Words as="small" soft>
          {asset.tag} · {place?.name} · {asset.nameplate.maker} {asset.nameplate.model}
        </Words>
      </View>
      <View style={sheet.facts}>
        <Words as={isOut ? 'label' : 'mark'} soft={!isOut}>
          {conditionWords[asset.condition]}
        </Words>
        {open === 0 ? null : <Words as="mark">{open} open</Words>}
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  list: { width: '100%', maxWidth: 860, alignSelf: 'center', paddingHorizontal: 16 },
  head: { paddingVertical: 16, gap: 8 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1, paddingVertical: 9, minHeight: 52 },
  words: { flex: 1, minWidth: 0 },
  facts: { alignItems: 'flex-end' },
});
