import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import { waitsForGoAhead, type WorkOrder } from '@oilcan/core/orders/work';
import { usePhone } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';

/** On the sheet: that it waits for a lead, who lets it start from here. */
export function GoAheadLine({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const palette = usePalette();
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  if (!waitsForGoAhead(work)) return null;
  return (
    <View role="status" style={[sheet.line, { borderColor: palette.ink }]}>
      <AppText style={sheet.words}>Waits for a lead to let it start. If it cannot wait, make it urgent: Now.</AppText>
      {isLead ? (
        <Button
          rank="primary"
          word="Let it start"
          onPress={() => void performOrSay('work.let-start', { workOrderIds: [work.id] })}
        />
      ) : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  line: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 12,
    borderLeftWidth: 6,
    paddingLeft: 12,
    marginVertical: 8,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
});
