import { useRouter } from 'expo-router';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { asId, type PlaceId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import { useRow } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { LabelSheetForm } from '../../past/paper';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { assetLabel, placeLabel } from './labels';
import type { PlantNode } from './plant-tree';
import { mdiPrinterOutline } from '@mdi/js';

/** Above the machines of one place: how much is there, what happened there, and labels for its door and its machines. */
export function PlaceHead({ place }: { readonly place: PlantNode }): ReactElement {
  const router = useRouter();
  const [isPrinting, setIsPrinting] = useState(false);
  const around = useRow('places', useRow('places', place.id)?.parentId);
  const facts = [
    counted(place.assets, 'machine', 'machines'),
    ...(place.out === 0 ? [] : [`${place.out} out of order`]),
    counted(place.open, 'open job', 'open jobs'),
  ];
  return (
    <>
      <AppText as="title" level={2}>
        {place.name}
      </AppText>
      <AppText soft>{facts.join(', ')}.</AppText>
      <View style={sheet.buttons}>
        <Button word="What happened here" onPress={() => router.navigate(`/plant/past/at/${place.id}`)} />
        <Button icon={mdiPrinterOutline} word="Print labels" onPress={() => setIsPrinting(true)} />
        {around === undefined ? null : (
          <Button word={`All of ${around.name}`} onPress={() => router.navigate(`/plant?place=${around.id}`)} />
        )}
        <Button word="The whole plant" onPress={() => router.navigate('/plant')} />
      </View>
      {isPrinting ? (
        <LabelSheetForm
          labels={[placeLabel(asId<PlaceId>(place.id), place.name), ...machinesOf(place).map(assetLabel)]}
          name={`labels-${place.name}`}
          onClose={() => setIsPrinting(false)}
        />
      ) : null}
    </>
  );
}

/** Every machine that stands in it or in a place within. */
function machinesOf(node: PlantNode): Asset[] {
  return node.children.flatMap((child) => [...(child.asset === null ? [] : [child.asset]), ...machinesOf(child)]);
}

const sheet = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
