import type { ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import type { Part } from '@oilcan/core/stores/stock';
import { useStockOf } from '../../../data/queries/stock';
import { Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';

/** A part that was found, with how much of it there is. */
export function PartChoice({ part, onPress }: { readonly part: Part; readonly onPress: () => void }): ReactElement {
  const palette = usePalette();
  const onHand = useStockOf(part.id).reduce((sum, level) => sum + level.onHand, 0);
  return (
    <Press onPress={onPress} style={[sheet.found, { borderColor: palette.line }]}>
      <AppText>{part.name}</AppText>
      <AppText as="small" soft>
        {part.number} · {amountOf(onHand, part)} on hand{part.isObsolete ? ' · no longer bought' : ''}
      </AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({ found: { borderBottomWidth: 1, paddingVertical: 8 } });
