import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { AppText } from '../../../ui/theme/app-text';
import type { Key } from './use-keys';

/** What the keys do. */
export function KeysSheet({
  keys,
  onClose,
}: {
  readonly keys: readonly Key[];
  readonly onClose: () => void;
}): ReactElement {
  return (
    <BottomSheet title="Keys" onClose={onClose}>
      {[...keys, { key: '?', words: 'This list' }].map(({ key, words }) => (
        <View key={key} style={sheet.line}>
          <AppText as="label" style={sheet.key}>
            {key}
          </AppText>
          <AppText>{words}</AppText>
        </View>
      ))}
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  line: { flexDirection: 'row', gap: 16 },
  key: { width: 110 },
});
