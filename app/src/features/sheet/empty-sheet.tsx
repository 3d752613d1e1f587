import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Words } from '../../ui/words';

/** Beside the list on a wide screen while nothing is open. */
export function EmptySheet(): ReactElement {
  return (
    <View style={sheet.middle}>
      <Words soft>Choose a job from the list; it opens here.</Words>
    </View>
  );
}

const sheet = StyleSheet.create({ middle: { flex: 1, alignItems: 'center', justifyContent: 'center', padding: 24 } });
