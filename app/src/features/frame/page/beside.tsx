import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { HasBannerBeside, IsBesideMain } from './pane';

interface Props {
  readonly list: ReactNode;
  readonly children: ReactNode;
}

/**
 * On a wide screen a list stays beside whatever is open of it. What is open is what the page is about, also before anything was chosen:
 * the list never becomes it, since a view that changes its landmark is another element, and the list would be drawn again unmeasured.
 */
export function Beside({ list, children }: Props): ReactElement {
  return (
    <View style={sheet.columns}>
      <View style={sheet.list}>
        <IsBesideMain value>{list}</IsBesideMain>
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
