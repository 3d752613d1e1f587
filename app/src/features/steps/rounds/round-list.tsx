import { mdiSwapVertical } from '@mdi/js';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  inWalkingOrder,
  isFaultyStill,
  type RoundStanding,
  type Stop,
  type StopStanding,
} from '@oilcan/core/steps/rounds';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { RowDipstick } from '../../../ui/drawn/dipstick';
import { FindingShape } from '../../../ui/drawn/finding-shape';
import { Button, Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import type { InSight } from './stop-in-sight';

interface Props {
  readonly work: WorkOrder;
  readonly stops: readonly Stop[];
  readonly round: RoundStanding;
  readonly inSight: InSight;
  readonly onGo: (inSight: InSight) => void;
}

/** All stops in walking order, each with how far it is; a press goes there. */
export function RoundList({ work, stops, round, inSight, onGo }: Props): ReactElement {
  const last = inWalkingOrder(stops).at(-1);
  const turn = (): void => {
    if (last === undefined) return;
    void performOrSay('round.turn', { workOrderId: work.id, firstStopId: last.id });
  };
  return (
    <View>
      {round.stops.map((standing) => (
        <StopLine
          key={standing.stop.id}
          standing={standing}
          isHere={standing.stop.id === inSight}
          onPress={() => onGo(standing.stop.id)}
        />
      ))}
      <View style={sheet.keys}>
        <Button word="What came of the round" onPress={() => onGo('end')} />
        {isOpen(work.state) ? <Button word="Turn around" icon={mdiSwapVertical} onPress={turn} /> : null}
      </View>
    </View>
  );
}

interface StopLineProps {
  readonly standing: StopStanding;
  readonly isHere: boolean;
  readonly onPress: () => void;
}

function StopLine({ standing: { stop, number, progress, remarks }, isHere, onPress }: StopLineProps): ReactElement {
  const palette = usePalette();
  const asset = useRow('assets', stop.assetId);
  const faulty = remarks.filter(isFaultyStill).length;
  const putRight = remarks.filter((remark) => remark.faulty === 'putRight').length;
  const beyond = remarks.filter(({ level }) => level !== 'normal').length;
  const said = [
    stop.leftOut === null ? `${progress.done} of ${progress.of}` : `left out: ${stop.leftOut.reason}`,
    ...(faulty === 0 ? [] : [`${faulty} faulty`]),
    ...(putRight === 0 ? [] : [`${putRight} put right`]),
    ...(beyond === 0 ? [] : [`${beyond} beyond limits`]),
  ].join(' · ');
  return (
    <Press
      onPress={onPress}
      isHere={isHere}
      style={[sheet.line, { borderColor: palette.line, backgroundColor: isHere ? palette.chosen : palette.paper }]}
    >
      <RowDipstick done={progress.done} of={progress.of} />
      <AppText as="label" style={sheet.number}>
        {number}
      </AppText>
      <View style={sheet.words}>
        <AppText>{asset?.name ?? 'A machine that is not on this phone'}</AppText>
        <AppText as="small" soft>
          {said}
        </AppText>
      </View>
      {faulty === 0 ? null : <FindingShape state="faulty" color={palette.faulty} />}
    </Press>
  );
}

const sheet = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    paddingVertical: 6,
    paddingRight: 8,
  },
  number: { width: 26, textAlign: 'right' },
  words: { flex: 1, minWidth: 0 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 12 },
});
