import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import type { Asset } from '@oilcan/core/plant/plant';
import { usePhone, useRows } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

/** Labels of others that were bound to a machine. A lead takes a wrong one off; it can then be bound to another. */
export function BoundLabels({ asset }: { readonly asset: Asset }): ReactElement | null {
  const palette = usePalette();
  const codes = useRows('codes', 'asset', asset.id);
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  if (codes.length === 0) return null;
  return (
    <Section title="Labels bound to it">
      {codes.map(({ id }) => (
        <View key={id} style={[sheet.row, { borderColor: palette.line }]}>
          <AppText style={sheet.words}>{id}</AppText>
          {isLead ? (
            <Button
              word="Take off"
              label={`Take off the label ${id}`}
              onPress={() => void performOrSay('code.unbind', { code: id })}
            />
          ) : null}
        </View>
      ))}
    </Section>
  );
}

const sheet = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 10, borderBottomWidth: 1, paddingVertical: 6 },
  words: { flex: 1, minWidth: 0 },
});
