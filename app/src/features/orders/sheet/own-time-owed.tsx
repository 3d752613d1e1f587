import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { owesTime, type WorkOrder } from '@oilcan/core/orders/work';
import { performOrSay } from '../../../data/store/use-operation';
import { useMe } from '../../../data/store/use-me';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { dockItems } from '../../frame/registry/views';

const time = dockItems.find(({ name }) => name === 'time');

/** Others finished it without my time: it is given here, or that there was none, until a lead has accepted the job. */
export function OwnTimeOwed({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const me = useMe();
  const [isAdding, setIsAdding] = useState(false);
  if (time === undefined || !owesTime(work, me)) return null;
  return (
    <View>
      <AppText>It was finished without your time.</AppText>
      <View style={sheet.buttons}>
        <Button rank="primary" word="Add my time" onPress={() => setIsAdding(true)} />
        <Button
          word="No time of mine"
          onPress={() => void performOrSay('none.say', { workOrderId: work.id, of: 'time' })}
        />
      </View>
      {isAdding ? <time.Sheet work={work} onClose={() => setIsAdding(false)} /> : null}
    </View>
  );
}

const sheet = StyleSheet.create({ buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingVertical: 8 } });
