import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { AppText } from '../../../ui/theme/app-text';

/** Beside an empty list on a wide screen. */
export function EmptySheet(): ReactElement {
  return (
    <View role="main" style={sheet.middle}>
      <AppText soft>A job that you choose from the list opens here.</AppText>
    </View>
  );
}

const sheet = StyleSheet.create({ middle: { flex: 1, alignItems: 'center', justifyContent: 'center', padding: 24 } });
