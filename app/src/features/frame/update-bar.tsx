import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useApplicationUpdate } from '../../data/application-update';
import { Button } from '../../ui/press';
import { RULE, usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';

/** On the lists, never over a job: a newer Oilcan is there, to be taken when it suits. */
export function UpdateBar(): ReactElement | null {
  const palette = usePalette();
  const take = useApplicationUpdate((state) => state.take);
  if (take === null) return null;
  return (
    <View role="status" style={[sheet.bar, { borderColor: palette.line, backgroundColor: palette.card }]}>
      <Words style={sheet.words}>A newer Oilcan is on this phone. What you recorded stays.</Words>
      <Button word="Take it" onPress={take} />
    </View>
  );
}

const sheet = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 16,
    paddingVertical: 8,
    borderBottomWidth: RULE,
  },
  words: { flex: 1 },
});
