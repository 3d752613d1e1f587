import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiQrcodeScan } from '@mdi/js';
import type { AssetId, PlaceId } from '@oilcan/core/kernel';
import { isOpen } from '@oilcan/core/orders/work';
import type { Asset, Place } from '@oilcan/core/plant/plant';
import { usePhone, useRow, useTable } from '../../../data/store/store';
import { FindField } from '../../../ui/fields/find-field';
import { Button, Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { prepareFindingMachines, useFoundAssets, useFoundPlaces } from '../../../data/find/use-found';
import { List } from '../../../ui/layout/list';

/** Where something is raised: a machine, or only a place; null for not said yet. */
export type RaisedAt =
  { readonly is: 'asset'; readonly id: AssetId } | { readonly is: 'place'; readonly id: PlaceId } | null;

const MOST_FOUND = 6;
const MOST_LIKELY = 4;

interface Props {
  readonly at: RaisedAt;
  readonly onChoose: (at: RaisedAt) => void;
  /** Only machines can be chosen: work is always on one. */
  readonly isMachineOnly?: boolean;
}

/** Which machine or place: scanned, found by name, or where the person works just now. */
export function WhereField({ at, onChoose, isMachineOnly = false }: Props): ReactElement {
  const asset = useRow('assets', at?.is === 'asset' ? at.id : undefined);
  const place = useRow('places', asset?.placeId ?? (at?.is === 'place' ? at.id : undefined));
  if (at === null || (asset === undefined && place === undefined))
    return <Choosing onChoose={onChoose} isMachineOnly={isMachineOnly} />;
  return (
    <View style={sheet.chosen}>
      <View style={sheet.words}>
        <AppText as="row">{asset?.name ?? place?.name}</AppText>
        <AppText as="small" soft>
          {asset === undefined ? 'The place, no machine' : `${asset.tag} · ${place?.name ?? ''}`}
        </AppText>
      </View>
      <Button word="Elsewhere" onPress={() => onChoose(null)} />
    </View>
  );
}

function Choosing({ onChoose, isMachineOnly }: Omit<Required<Props>, 'at'>): ReactElement {
  const router = useRouter();
  const [find, setFind] = useState('');
  const likely = useWhereIAm();
  const typed = find.trim();
  const machines = useFoundAssets(typed, MOST_FOUND);
  const places = useFoundPlaces(isMachineOnly ? '' : typed, MOST_FOUND);
  const found: readonly (Asset | Place)[] = [...machines, ...places].slice(0, MOST_FOUND);
  return (
    <View style={sheet.choosing}>
      <View style={sheet.find}>
        <View style={sheet.field}>
          <FindField
            label={isMachineOnly ? 'Which machine' : 'Which machine or place'}
            value={find}
            onChange={setFind}
            onFocus={() => void prepareFindingMachines()}
          />
        </View>
        <Button word="Scan" icon={mdiQrcodeScan} style={sheet.scan} onPress={() => router.navigate('/scan?to=raise')} />
      </View>
      {typed !== '' && found.length === 0 ? <AppText>Nothing on this phone fits “{find.trim()}”.</AppText> : null}
      {typed === '' && likely.length > 0 ? <AppText as="label">Where you are at work</AppText> : null}
      <List label="Where">
        {(typed === '' ? likely : found).map((each) => (
          <WhereRow key={each.id} row={each} onChoose={onChoose} />
        ))}
      </List>
    </View>
  );
}

function WhereRow({ row, onChoose }: { readonly row: Asset | Place } & Pick<Props, 'onChoose'>): ReactElement {
  const palette = usePalette();
  const isAsset = 'tag' in row;
  const above = useRow('places', isAsset ? row.placeId : row.parentId);
  const choose = (): void => onChoose(isAsset ? { is: 'asset', id: row.id } : { is: 'place', id: row.id });
  return (
    <Press onPress={choose} style={[sheet.row, { borderColor: palette.line }]}>
      <AppText>{row.name}</AppText>
      <AppText as="small" soft>
        {isAsset ? `${row.tag} · ${above?.name ?? ''}` : `Place${above === undefined ? '' : ` in ${above.name}`}`}
      </AppText>
    </Press>
  );
}

/** The machines that a person likely stands at: first that of their running clock, then those of their open work underway. */
function useWhereIAm(): readonly Asset[] {
  const me = usePhone((state) => state.person?.id);
  const clock = useRow('clocks', me);
  const works = useTable('workOrders');
  const assets = useTable('assets');
  return useMemo(() => {
    const mine = works.filter(({ state, personIds }) => isOpen(state) && personIds.some((id) => id === me));
    const rank = (id: string, state: string): number => (id === clock?.workOrderId ? 0 : state === 'underway' ? 1 : 2);
    const order = [...mine].sort((a, b) => rank(a.id, a.state) - rank(b.id, b.state));
    const ids = [...new Set(order.map(({ assetId }) => assetId))].slice(0, MOST_LIKELY);
    return ids.flatMap((id) => assets.find((asset) => asset.id === id) ?? []);
  }, [works, assets, clock, me]);
}

const sheet = StyleSheet.create({
  chosen: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 12 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 160, minWidth: 0 },
  choosing: { gap: 8 },
  find: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 220, minWidth: 0 },
  scan: { marginTop: 6, minHeight: 50 },
  row: { borderBottomWidth: 1, paddingVertical: 6 },
});
