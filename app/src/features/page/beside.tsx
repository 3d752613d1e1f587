import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

/** On a wide screen a list stays beside whatever is open of it. */
export function Beside({ list, children }: { readonly list: ReactNode; readonly children: ReactNode }): ReactElement {
  return (
    <View style={sheet.columns}>
      <View style={sheet.list}>{list}</View>
      <View style={sheet.rest}>{children}</View>
    </View>
  );
}

const sheet = StyleSheet.create({
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  list: { width: 340 },
  rest: { flex: 1, minWidth: 0 },
});
