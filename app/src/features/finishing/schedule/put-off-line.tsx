import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isPutOff } from '@oilcan/core/finishing/schedule';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useSettings } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayLocalDay } from '../../../words/dates';
import { counted } from '../../../words/work-words';

/** Until when it is put off, by whom and why, and how often; one press takes it up again. */
export function PutOffLine({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const settings = useSettings(work.siteId);
  const present = useNow(60);
  const by = useRow('people', work.putOff?.by);
  const { putOff, timesPutOff = 0 } = work;
  if (settings === undefined || timesPutOff === 0 || !isOpen(work.state)) return null;
  const often = `put off ${counted(timesPutOff, 'time', 'times')} so far`;
  if (putOff === undefined || putOff === null || !isPutOff(work, present, settings.zone)) {
    return <AppText soft>It was {often}.</AppText>;
  }
  const until = sayLocalDay(putOff.until, present, settings.zone, settings.language);
  return (
    <View style={sheet.line}>
      <AppText style={sheet.words}>
        {by?.name ?? 'Somebody'} put it off to {until}: {putOff.reason}. {timesPutOff > 1 ? `It was ${often}. ` : ''}It
        comes back by itself.
      </AppText>
      <Button word="Take it up now" onPress={() => void performOrSay('work.take-up', { workOrderId: work.id })} />
    </View>
  );
}

const sheet = StyleSheet.create({
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, paddingTop: 6 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
});
