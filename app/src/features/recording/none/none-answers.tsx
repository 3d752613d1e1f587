import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiCheck } from '@mdi/js';
import { isRecorded, nonesOf, saidNone } from '@oilcan/core/recording/none';
import { isOpen, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { Icon } from '../../../ui/theme/icon';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { noneWords } from './words';

interface Props {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
  /** The person's own clock has run here: there is time of theirs. */
  readonly hasClock: boolean;
  /** Whether anybody wants to know that no fault was found. */
  readonly asksForFault: boolean;
}

/** Of what nothing is recorded, one press says that there was none. What was said stands there; it is taken back in the record. */
export function NoneAnswers({ work, entries, hasClock, asksForFault }: Props): ReactElement | null {
  const me = useMe();
  const said = saidNone(entries, me);
  const open = nonesOf.filter(
    (of) =>
      !said.includes(of) &&
      !isRecorded(of, entries, me) &&
      !(of === 'time' && hasClock) &&
      !(of === 'fault' && !asksForFault),
  );
  if (said.length === 0 && (open.length === 0 || !isOpen(work.state))) return null;
  return (
    <View role="group" aria-label="There was none" style={sheet.answers}>
      {said.map((of) => (
        <View key={of} style={sheet.said}>
          <Icon path={mdiCheck} size={18} />
          <AppText as="small">{noneWords[of]}</AppText>
        </View>
      ))}
      {isOpen(work.state) && work.state !== 'ready'
        ? open.map((of) => (
            <Button
              key={of}
              word={noneWords[of]}
              onPress={() => void performOrSay('none.say', { workOrderId: work.id, of })}
            />
          ))
        : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  answers: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, paddingTop: 12 },
  said: { flexDirection: 'row', alignItems: 'center', gap: 4, minHeight: 32, paddingRight: 8 },
});
