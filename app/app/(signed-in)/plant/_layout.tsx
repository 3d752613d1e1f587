import { Slot, useGlobalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { LazyPlant } from '../../../src/features/plant/lazy-plant';
import { useIsWide } from '../../../src/ui/theme';

/** On a wide screen the tree stays beside the machine that is looked at. */
export default function PlantLayout(): ReactElement {
  const isWide = useIsWide();
  const { asset } = useGlobalSearchParams<{ asset?: string }>();
  if (!isWide) return <Slot />;
  return (
    <View style={sheet.columns}>
      <View style={sheet.tree}>
        <LazyPlant chosen={asset} />
      </View>
      <View style={sheet.rest}>
        <Slot />
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  tree: { width: 340 },
  rest: { flex: 1, minWidth: 0 },
});
