import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetId, PastScope } from '@oilcan/core';
import { Icon } from '../../ui/icon';
import { Press } from '../../ui/press';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import type { Said } from './said';

interface Props {
  readonly said: readonly Said[];
  readonly assetId: AssetId;
  readonly scope: PastScope;
}

/** What the past says: each sentence opens the rows that it was made from. */
export function SaidList({ said, assetId, scope }: Props): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  return (
    <View style={sheet.list}>
      {said.map(({ key, text, jobs }) =>
        jobs.length === 0 ? (
          <View key={key} style={[sheet.plain, { borderColor: palette.line }]}>
            <Words>{text}</Words>
          </View>
        ) : (
          <Press
            key={key}
            role="link"
            onPress={() => router.navigate(`/plant/past/${assetId}?with=${scope}&said=${key}`)}
            style={[sheet.said, { borderColor: palette.line }]}
          >
            <Words style={sheet.text}>{text}</Words>
            <Icon name="right" color={palette.inkSoft} />
          </Press>
        ),
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  list: { paddingTop: 2 },
  plain: { paddingVertical: 10, borderBottomWidth: 1 },
  said: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    justifyContent: 'space-between',
    paddingVertical: 10,
    borderBottomWidth: 1,
  },
  text: { flexShrink: 1, minWidth: 0, maxWidth: 560 },
});
