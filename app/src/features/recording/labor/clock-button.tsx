import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatClock, toMillis, type Instant } from '@oilcan/core/kernel';
import { clockMinutes } from '@oilcan/core/recording/labor';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow } from '../../../data/store/store';
import { noteClockPlace } from '../../../data/background/clock-place';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { CORNER, RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { useNow } from '../../../data/store/use-now';
import { AppText } from '../../../ui/theme/app-text';
import { useCommand } from '../../frame/keys/commands';
import type { HazardsFirst } from '../../orders/hazards';
import { ClockCorrectionSheet } from './clock-correction-sheet';
import { mdiPlay, mdiStop } from '@mdi/js';

/** Minutes that are over; the first one shows as 0:00. */
function wholeMinutes(from: Instant, to: Instant): number {
  return Math.max(0, Math.floor((toMillis(to) - toMillis(from)) / 60_000));
}

/** What a screen reader says for the word under the clock. */
const labels = {
  Start: 'Start my clock',
  Stop: 'Stop my clock',
  'Go on': 'Go on with my clock',
  'Move clock here': 'Move clock here: my clock',
} as const;

/** My time on this job: starts, shows and stops it. Brass while it runs, and nothing else is. */
export function ClockButton({
  work,
  isPrepared,
  onHazards,
}: {
  readonly work: WorkOrder;
  readonly isPrepared: boolean;
  readonly onHazards: HazardsFirst;
}): ReactElement {
  const palette = usePalette();
  const isWide = useIsWide();
  const clock = useRow('clocks', useMe());
  const present = useNow(5);
  const [isCorrecting, setIsCorrecting] = useState(false);
  const isHere = clock?.workOrderId === work.id;
  const isRunning = isHere && clock.isPaused !== true;
  // One press moves it: it stops there, and what it ran is recorded there.
  const word = isRunning ? 'Stop' : isHere ? 'Go on' : clock === undefined ? 'Start' : 'Move clock here';
  const ranTooLong = isRunning && clockMinutes(clock.startedAt, present) > 24 * 60;
  // Asked of the phone and not of the screen: the acknowledgement may have been pressed a moment ago.
  const start = async (): Promise<void> => {
    const isStarted = await performOrSay('clock.start', { workOrderId: work.id });
    if (isStarted) noteClockPlace(work.id);
    else if (!isPrepared) onHazards(() => void start());
  };
  const press = (): void => {
    if (ranTooLong) setIsCorrecting(true);
    else if (isRunning) void performOrSay('clock.stop', { workOrderId: work.id, endedAt: null });
    else void start();
  };
  useCommand('clock', press);
  // Until the hazards are read that is what the work wants next, and this key waits in outline.
  const ground = isRunning ? palette.brass : isPrepared ? palette.green : palette.card;
  const color = isRunning ? palette.onBrass : isPrepared ? palette.onGreen : palette.ink;
  const edge = isRunning || isPrepared ? ground : palette.edge;
  return (
    <>
      <Press
        onPress={press}
        label={labels[word]}
        style={[sheet.clock, isWide && sheet.clockWide, { backgroundColor: ground, borderColor: edge }]}
        testID="clock"
      >
        <AppText as="title" color={color}>
          {isRunning ? formatClock(wholeMinutes(clock.startedAt, present)) : '0:00'}
        </AppText>
        <View style={sheet.clockWord}>
          <Icon path={isRunning ? mdiStop : mdiPlay} size={18} color={color} />
          <AppText as="label" color={color}>
            {word}
          </AppText>
        </View>
      </Press>
      {isCorrecting && clock !== undefined ? (
        <ClockCorrectionSheet clock={clock} onClose={() => setIsCorrecting(false)} />
      ) : null}
    </>
  );
}

const sheet = StyleSheet.create({
  clock: {
    flexGrow: 2,
    flexBasis: 'auto',
    minHeight: 64,
    minWidth: 66,
    // Seen only where the device forces its colours.
    borderWidth: RULE,
    borderRadius: CORNER,
    paddingHorizontal: 6,
  },
  clockWide: {
    flexBasis: '100%',
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingHorizontal: 16,
  },
  clockWord: { flexDirection: 'row', alignItems: 'center', gap: 4 },
});
