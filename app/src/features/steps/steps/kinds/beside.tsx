import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

/** The words of a step with its answer beside them, or under them where there is no room. */
export function Beside({
  words,
  children,
}: {
  readonly words: ReactElement;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <View style={sheet.row}>
      <View style={sheet.words}>{words}</View>
      {children}
    </View>
  );
}

const sheet = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    alignContent: 'center',
    columnGap: 12,
    rowGap: 8,
    minHeight: 64,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 150, minWidth: 0 },
});
