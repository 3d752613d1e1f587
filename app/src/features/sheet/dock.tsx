import { useState, type ReactElement } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { formatClock, toMillis, type Instant } from '@oilcan/core/kernel';
import { clockMinutes } from '@oilcan/core/labor';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { performOrSay } from '../../data/use-operation';
import { useRow } from '../../data/store';
import { Icon } from '../../ui/icon';
import type { IconName } from '../../ui/icon-paths';
import { Press } from '../../ui/press';
import { CORNER, GAP, RULE, useIsWide, usePalette } from '../../ui/theme';
import { useNow } from '../../ui/use-now';
import { Words } from '../../ui/words';
import { useCommand } from '../keys/commands';
import { useIsPrepared, useMe } from './parts';
import { ClockCorrectionSheet } from './clock-correction-sheet';
import { NoteSheet } from './note-sheet';
import { PartSheet } from './part-sheet';
import { ReadingSheet } from './reading-sheet';
import { TimeSheet } from './time-sheet';

/** Where five keys do not fit beside one another: very large text on a phone. */
const NARROW_BELOW = 340;

export type DockSheet = 'time' | 'part' | 'reading' | 'note';

const buttons: readonly (readonly [DockSheet, string, IconName])[] = [
  ['time', 'Time', 'time'],
  ['part', 'Part', 'part'],
  ['reading', 'Reading', 'reading'],
  ['note', 'Note', 'note'],
];

interface Props {
  readonly work: WorkOrder;
  /** Which sheet is open; held outside because what is owed opens them too. */
  readonly open: DockSheet | null;
  readonly onOpen: (sheet: DockSheet | null) => void;
  /** Where the hazards are, when they must be read first. */
  readonly onHazards: () => void;
}

/** The row at the foot of the sheet from which everything is recorded. */
export function Dock({ work, open, onOpen, onHazards }: Props): ReactElement | null {
  const palette = usePalette();
  const isWide = useIsWide();
  const isNarrow = useWindowDimensions().width < NARROW_BELOW;
  const isPrepared = useIsPrepared(work);
  const press = (sheet: DockSheet): void => {
    if (!isPrepared && sheet !== 'note') onHazards();
    else onOpen(sheet);
  };
  const close = (): void => onOpen(null);
  const ask = (sheet: DockSheet): void => {
    if (isOpen(work.state)) press(sheet);
  };
  useCommand('time', () => ask('time'));
  useCommand('part', () => ask('part'));
  useCommand('reading', () => ask('reading'));
  useCommand('note', () => ask('note'));
  if (!isOpen(work.state)) return null;
  return (
    <View
      role="toolbar"
      aria-label="Record on this work order"
      style={[
        sheet.dock,
        isNarrow && sheet.dockNarrow,
        isWide ? sheet.dockWide : { borderTopWidth: RULE, borderColor: palette.ink, backgroundColor: palette.paper },
      ]}
    >
      <ClockButton work={work} isPrepared={isPrepared} onHazards={onHazards} />
      {buttons.map(([name, word, icon]) => (
        <Press
          key={name}
          onPress={() => press(name)}
          style={[
            sheet.button,
            isWide && sheet.buttonWide,
            { borderColor: palette.edge, backgroundColor: palette.card },
          ]}
        >
          <Icon name={icon} size={24} />
          <Words as="label" lines={1}>
            {word}
          </Words>
        </Press>
      ))}
      {open === 'time' ? <TimeSheet work={work} onClose={close} /> : null}
      {open === 'part' ? <PartSheet work={work} onClose={close} /> : null}
      {open === 'reading' ? <ReadingSheet work={work} onClose={close} /> : null}
      {open === 'note' ? <NoteSheet work={work} onClose={close} /> : null}
    </View>
  );
}

/** Minutes that are over; the first one shows as 0:00. */
function wholeMinutes(from: Instant, to: Instant): number {
  return Math.max(0, Math.floor((toMillis(to) - toMillis(from)) / 60_000));
}

/** My time on this job: starts, shows and stops it. Brass while it runs, and nothing else is. */
function ClockButton({
  work,
  isPrepared,
  onHazards,
}: {
  readonly work: WorkOrder;
  readonly isPrepared: boolean;
  readonly onHazards: () => void;
}): ReactElement {
  const palette = usePalette();
  const isWide = useIsWide();
  const clock = useRow('clocks', useMe());
  const present = useNow(5);
  const [isCorrecting, setIsCorrecting] = useState(false);
  const isRunning = clock?.workOrderId === work.id;
  const ranTooLong = isRunning && clockMinutes(clock.startedAt, present) > 24 * 60;
  // Asked of the phone and not of the screen: the acknowledgement may have been pressed a moment ago.
  const start = async (): Promise<void> => {
    const isStarted = await performOrSay('clock.start', { workOrderId: work.id });
    if (!isStarted && !isPrepared) onHazards();
  };
  const press = (): void => {
    if (ranTooLong) setIsCorrecting(true);
    else if (isRunning) void performOrSay('clock.stop', { workOrderId: work.id, endedAt: null });
    else void start();
  };
  useCommand('clock', press);
  const color = isRunning ? palette.onBrass : palette.onGreen;
  return (
    <>
      <Press
        onPress={press}
        label={isRunning ? 'Stop my clock' : 'Start my clock'}
        style={[sheet.clock, isWide && sheet.clockWide, { backgroundColor: isRunning ? palette.brass : palette.green }]}
        testID="clock"
      >
        <Words as="title" color={color}>
          {isRunning ? formatClock(wholeMinutes(clock.startedAt, present)) : '0:00'}
        </Words>
        <View style={sheet.clockWord}>
          <Icon name={isRunning ? 'stop' : 'play'} size={18} color={color} />
          <Words as="label" color={color}>
            {isRunning ? 'Stop' : 'Start'}
          </Words>
        </View>
      </Press>
      {isCorrecting && clock !== undefined ? (
        <ClockCorrectionSheet clock={clock} onClose={() => setIsCorrecting(false)} />
      ) : null}
    </>
  );
}

const sheet = StyleSheet.create({
  dock: { flexDirection: 'row', gap: 6, padding: 8 },
  dockNarrow: { flexWrap: 'wrap' },
  dockWide: { flexWrap: 'wrap', gap: GAP, padding: 16, paddingBottom: 8 },
  button: {
    flex: 1,
    minHeight: 64,
    alignItems: 'center',
    gap: 2,
    borderWidth: RULE,
    borderRadius: CORNER,
    minWidth: 50,
  },
  buttonWide: { flexBasis: '46%', flexDirection: 'row', minHeight: 52, gap: 8 },
  clock: { flex: 1.5, minHeight: 64, minWidth: 88, borderRadius: CORNER, paddingHorizontal: 10 },
  clockWide: {
    flexBasis: '100%',
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingHorizontal: 16,
  },
  clockWord: { flexDirection: 'row', alignItems: 'center', gap: 4 },
});
