import { useState, type ComponentType, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRows, useSettings } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { CostLines } from '../../recording/costs';
import { useCommand } from '../../frame/keys/commands';
import { HandBackSheet } from '../lifecycle';
import { unusualWords } from './unusual-words';
import type { Waiting } from './use-reviews';

export type SheetOfWork = ComponentType<{ readonly workOrderId: string }>;

interface Props {
  readonly waiting: Waiting;
  /** The sheet of a work order. */
  readonly Sheet: SheetOfWork;
  readonly onAccept: (workOrderId: string) => void;
}

/** On a wide screen, beside the list: why a job is worth a look, what it cost, its whole sheet, and what a lead does with it. */
export function ReviewPane({ waiting: { work, unusual, cost }, Sheet, onAccept }: Props): ReactElement | null {
  const palette = usePalette();
  const settings = useSettings(work.siteId);
  const entries = useRows('entries', 'workOrder', work.id);
  const [isHandingBack, setIsHandingBack] = useState(false);
  useCommand('accept', () => onAccept(work.id));
  useCommand('handBack', () => setIsHandingBack(true));
  if (settings === undefined) return null;
  return (
    <View style={sheet.pane}>
      <View style={[sheet.head, { borderColor: palette.ink }]}>
        <View style={sheet.words}>
          {unusual.length === 0 ? (
            <AppText>Nothing unusual.</AppText>
          ) : (
            unusual.map((each, index) => <AppText key={index}>{unusualWords(each, settings)}.</AppText>)
          )}
          <CostLines work={work} cost={cost} entries={entries} />
        </View>
        <View style={sheet.buttons}>
          <Button rank="primary" word="Accept" onPress={() => onAccept(work.id)} />
          <Button word="Hand back" onPress={() => setIsHandingBack(true)} />
        </View>
      </View>
      <View style={sheet.sheet}>
        <Sheet workOrderId={work.id} />
      </View>
      {isHandingBack ? <HandBackSheet work={work} onClose={() => setIsHandingBack(false)} /> : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  pane: { flex: 1, minHeight: 0, minWidth: 0 },
  head: { flexDirection: 'row', gap: 16, paddingHorizontal: 16, paddingTop: 12, borderBottomWidth: RULE },
  words: { flex: 1, minWidth: 0 },
  buttons: { gap: 8, paddingBottom: 12 },
  sheet: { flex: 1, minHeight: 0 },
});
