import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, useRow, useSettings } from '../../../data/store/store';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';

/** What whoever left the job says to whoever goes on with it: the first that those see. */
export function HandOverLine({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const palette = usePalette();
  const settings = useSettings(work.siteId);
  const { handOver } = work;
  const by = useRow('people', handOver?.by);
  if (handOver === undefined || settings === undefined || !isOpen(work.state)) return null;
  return (
    <View role="note" style={[sheet.line, { borderColor: palette.ink }]}>
      <AppText>{handOver.line}</AppText>
      <AppText as="small" soft>
        Left by {by?.name ?? 'somebody'}, {sayMoment(handOver.at, now(), settings.zone, settings.language)}
      </AppText>
    </View>
  );
}

const sheet = StyleSheet.create({ line: { borderLeftWidth: 4, paddingLeft: 12, paddingVertical: 6, marginTop: 8 } });
