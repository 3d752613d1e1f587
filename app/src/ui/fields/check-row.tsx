import { mdiCheckboxBlankOutline, mdiCheckboxMarked } from '@mdi/js';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from '../theme/icon';
import { Press } from '../press/press';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface Props {
  readonly title: string;
  /** What else helps to choose. */
  readonly more?: string;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

/** A row of a list of which several can be chosen: the whole row is pressed. */
export function CheckRow({ title, more = '', isChosen, onPress }: Props): ReactElement {
  const palette = usePalette();
  return (
    <Press role="checkbox" checked={isChosen} onPress={onPress} style={[sheet.row, { borderColor: palette.line }]}>
      <View style={sheet.line}>
        <Icon path={isChosen ? mdiCheckboxMarked : mdiCheckboxBlankOutline} />
        <View style={sheet.words}>
          <AppText>{title}</AppText>
          {more === '' ? null : (
            <AppText as="small" soft>
              {more}
            </AppText>
          )}
        </View>
      </View>
    </Press>
  );
}

const sheet = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  words: { flex: 1, minWidth: 0 },
});
