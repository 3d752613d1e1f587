import { Fragment, useCallback, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { CORNER, GAP, RULE, useIsNarrow, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { useIsPrepared, useMayRecord, type HazardsFirst } from '../hazards';
import { useCommand } from '../../frame/keys/commands';
import { ClockButton, ClockLine } from '../../recording/labor';
import { AtMachine } from '../../steps/rounds';
import { ShorthandLine } from '../../recording/shorthand';
import { dockItems } from '../../frame/registry/views';
import type { DockItem } from '../../frame/views/dock-item';

const keys = dockItems.filter(({ place }) => place === 'dock');

interface Props {
  readonly work: WorkOrder;
  /** Whose sheet is open, by the name of the key; held outside because what is owed opens them too. */
  readonly open: string | null;
  /** What that sheet begins with. */
  readonly about?: string | undefined;
  readonly onOpen: (name: string | null) => void;
  /** To the hazards, when they must be read first. */
  readonly onHazards: HazardsFirst;
  /** Only its keys are to be seen: somebody reads. */
  readonly isFolded?: boolean;
  /** Somebody turned to it. */
  readonly onTouch?: () => void;
}

/** The row at the foot of the sheet from which everything is recorded. */
export function Dock({
  work,
  open,
  about,
  onOpen,
  onHazards,
  isFolded = false,
  onTouch = () => undefined,
}: Props): ReactElement | null {
  const palette = usePalette();
  const isWide = useIsWide();
  const isNarrow = useIsNarrow();
  const isPrepared = useIsPrepared(work);
  const mayRecord = useMayRecord(work);
  const press = ({ name, countsAsWorking }: DockItem): void => {
    if (!mayRecord && countsAsWorking) onHazards(() => onOpen(name));
    else onOpen(name);
  };
  const close = useCallback((): void => onOpen(null), [onOpen]);
  if (!isOpen(work.state)) return null;
  return (
    <View
      onPointerDown={onTouch}
      onFocus={onTouch}
      style={!isWide && { borderTopWidth: RULE, borderColor: palette.ink, backgroundColor: palette.paper }}
    >
      {isNarrow || isFolded ? null : <DockLine work={work} onHazards={onHazards} />}
      <View
        role="toolbar"
        aria-label="Record on this work order"
        style={[sheet.dock, isNarrow && sheet.dockNarrow, isWide && sheet.dockWide]}
      >
        <ClockButton work={work} isPrepared={isPrepared} onHazards={onHazards} />
        {keys.map((item) => (
          <Fragment key={item.name}>
            <DockKey item={item} onPress={() => press(item)} />
            {open === item.name ? (
              <AtMachine work={work} pointId={about}>
                {(here) => <item.Sheet work={here} about={about} onClose={close} />}
              </AtMachine>
            ) : null}
          </Fragment>
        ))}
      </View>
    </View>
  );
}

/** The line above the dock: several things written at once, a break, and the clocks of mates. */
export function DockLine({ work, onHazards }: Pick<Props, 'work' | 'onHazards'>): ReactElement | null {
  const isWide = useIsWide();
  const mayRecord = useMayRecord(work);
  if (!isOpen(work.state)) return null;
  return (
    <View style={[sheet.line, isWide && sheet.lineWide]}>
      <AtMachine work={work}>
        {(here) => <ShorthandLine work={here} isPrepared={mayRecord} onHazards={onHazards} />}
      </AtMachine>
      <ClockLine work={work} />
    </View>
  );
}

/** One key; on a wide screen a key of the keyboard presses it. */
function DockKey({ item, onPress }: { readonly item: DockItem; readonly onPress: () => void }): ReactElement {
  const palette = usePalette();
  const isWide = useIsWide();
  useCommand(`record ${item.name}`, onPress);
  return (
    <Press
      onPress={onPress}
      style={[sheet.button, isWide && sheet.buttonWide, { borderColor: palette.edge, backgroundColor: palette.card }]}
    >
      <Icon path={item.icon} size={24} />
      <AppText as="label" lines={1} style={!isWide && sheet.word}>
        {item.word}
      </AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({
  dock: { flexDirection: 'row', gap: 5, padding: 6 },
  line: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingHorizontal: 8, paddingTop: 6 },
  lineWide: { paddingHorizontal: 16, paddingTop: 16 },
  dockNarrow: { flexWrap: 'wrap' },
  dockWide: { flexWrap: 'wrap', gap: GAP, padding: 16, paddingBottom: 8 },
  // As wide as its word, and more where there is room.
  button: {
    flexGrow: 1,
    flexShrink: 1,
    flexBasis: 'auto',
    paddingHorizontal: 1,
    minHeight: 64,
    alignItems: 'center',
    gap: 2,
    borderWidth: RULE,
    borderRadius: CORNER,
    minWidth: 48,
  },
  // Five of them stand beside the clock on a phone.
  word: { fontSize: 14 },
  buttonWide: { flexBasis: '46%', flexDirection: 'row', minHeight: 52, gap: 8 },
});
