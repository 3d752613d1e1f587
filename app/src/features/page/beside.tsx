import { usePathname } from 'expo-router';
import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { HasBannerBeside, IsBesideMain } from './pane';

interface Props {
  /** The path of the list: anything below it is what the page is about then. */
  readonly path: string;
  readonly list: ReactNode;
  readonly children: ReactNode;
}

/** On a wide screen a list stays beside whatever is open of it. */
export function Beside({ path, list, children }: Props): ReactElement {
  const isAlone = usePathname() === path;
  return (
    <View style={sheet.columns}>
      <View style={sheet.list}>
        <IsBesideMain value={!isAlone}>{list}</IsBesideMain>
      </View>
      <View style={sheet.rest}>
        <HasBannerBeside value>{children}</HasBannerBeside>
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  list: { width: 340 },
  rest: { flex: 1, minWidth: 0 },
});
