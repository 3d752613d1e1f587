import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { WorkCost } from '@oilcan/core/recording/costs';
import { formatDuration, formatSums } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useSettings } from '../../../data/store/store';
import { Words } from '../../../ui/theme/words';

/** What a job came to, at the end of its row: time and money. */
export function WorkSums({ work, cost }: { readonly work: WorkOrder; readonly cost: WorkCost }): ReactElement | null {
  const settings = useSettings(work.siteId);
  if (settings === undefined) return null;
  return (
    <View style={sheet.sums}>
      <Words as="label">{formatDuration(cost.laborMinutes)}</Words>
      <Words as="mark" soft>
        {formatSums(cost.total, settings.currency, settings.language)}
      </Words>
    </View>
  );
}

const sheet = StyleSheet.create({ sums: { alignItems: 'flex-end' } });
