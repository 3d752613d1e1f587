import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { WorkCost } from '@oilcan/core/recording/costs';
import { formatDuration, formatSums } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useSettings } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';

/** What a job came to, at the end of its row: time and money. */
export function WorkSums({ work, cost }: { readonly work: WorkOrder; readonly cost: WorkCost }): ReactElement | null {
  const settings = useSettings(work.siteId);
  if (settings === undefined) return null;
  return (
    <View style={sheet.sums}>
      <AppText as="label">{formatDuration(cost.laborMinutes)}</AppText>
      <AppText as="mark" soft>
        {formatSums(cost.total, settings.currency, settings.language)}
      </AppText>
    </View>
  );
}

const sheet = StyleSheet.create({ sums: { alignItems: 'flex-end' } });
