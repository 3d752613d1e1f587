import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Column, RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { IsBesideMain } from '../../frame/page/pane';
import { usePinnedJob } from './pinned-job';
import { SheetPiece } from './sheet-piece';

interface Props {
  /** The work order that is open; undefined for another view. */
  readonly open: string | undefined;
  readonly children: ReactNode;
}

/** On a wide screen: the job that is open, and beside it the one that is pinned, each as on a phone. */
export function BesidePinned({ open, children }: Props): ReactElement {
  const palette = usePalette();
  const pinned = usePinnedJob((state) => state.workOrderId);
  if (pinned === null) return <>{children}</>;
  return (
    <View style={sheet.columns}>
      <View style={sheet.column}>
        {open === pinned ? (
          <View style={sheet.middle}>
            <AppText soft>Choose the other job from the list.</AppText>
          </View>
        ) : (
          <Column>{children}</Column>
        )}
      </View>
      <View style={[sheet.column, { borderColor: palette.line, borderLeftWidth: RULE }]}>
        <Column>
          <IsBesideMain value>
            <SheetPiece workOrderId={pinned} />
          </IsBesideMain>
        </Column>
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  columns: { flex: 1, flexDirection: 'row', minHeight: 0 },
  column: { flex: 1, minWidth: 0, minHeight: 0 },
  middle: { flex: 1, alignItems: 'center', justifyContent: 'center', padding: 24 },
});
