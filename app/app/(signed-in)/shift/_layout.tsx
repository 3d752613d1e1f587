import { Slot, useGlobalSearchParams } from 'expo-router';
import { lazy, Suspense, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { ShiftScreen } from '../../../src/features/shift/shift-screen';
import { useIsWide } from '../../../src/ui/theme';

/** Only wide screens have keys worth listening to. */
const ShiftKeys = lazy(() =>
  import('../../../src/features/keys/shift-keys').then((module) => ({ default: module.ShiftKeys })),
);

/** On a wide screen the list stays beside whatever is open. */
export default function ShiftLayout(): ReactElement {
  const isWide = useIsWide();
  const { work } = useGlobalSearchParams<{ work?: string }>();
  if (!isWide) return <Slot />;
  return (
    <View style={sheet.columns}>
      <View style={sheet.list}>
        <ShiftScreen chosen={work} />
        <Suspense fallback={null}>
          <ShiftKeys chosen={work} />
        </Suspense>
      </View>
      <View style={sheet.rest}>
        <Slot />
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  list: { width: 340 },
  rest: { flex: 1, minWidth: 0 },
});
