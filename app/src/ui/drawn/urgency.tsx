import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { urgencies, type Urgency } from '@oilcan/core/orders/work';
import { urgencyWords } from '../../words/work-words';
import { keepsItsColors } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

/** One to four bars and their word; never a colour. */
export function UrgencyMark({ urgency }: { readonly urgency: Urgency }): ReactElement {
  const palette = usePalette();
  const bars = urgencies.length - urgencies.indexOf(urgency);
  return (
    <View style={sheet.mark}>
      <View style={[sheet.bars, keepsItsColors]} aria-hidden>
        {urgencies.map((each, index) => (
          <View key={each} style={[sheet.bar, { backgroundColor: index < bars ? palette.ink : palette.line }]} />
        ))}
      </View>
      <AppText as="mark">{urgencyWords[urgency]}</AppText>
    </View>
  );
}

const sheet = StyleSheet.create({
  mark: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  bars: { flexDirection: 'row', gap: 2 },
  bar: { width: 4, height: 12 },
});
