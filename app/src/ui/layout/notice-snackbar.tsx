import { useEffect, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Snackbar } from 'react-native-paper';
import { TARGET } from '../theme/theme';
import type { NoticeUndo } from '../state/use-notice';

const SHOWN_MILLISECONDS = 3_500;
/** Clear of the dock and of whatever the thumb presses next. */
const belowTopBar = { top: 60, bottom: undefined };

type Moved = Pick<PointerEvent, 'timeStamp' | 'movementX' | 'movementY'>;

interface Props {
  readonly text: string | null;
  /** What takes back what the notice tells of; null where nothing does. */
  readonly undo: NoticeUndo | null;
  /** Opens what the notice tells of. */
  readonly onOpen: (() => void) | null;
  readonly onDismiss: () => void;
}

/** A pointer that moves over the bar is heard so often. */
const MOVED_MILLISECONDS = 500;

/**
 * The bar itself, loaded with the first notice. It stays while somebody is at it: as long as it has the focus, and anew with each move
 * of a pointer over it. One that only rests where the bar has come up is not at it.
 */
export function NoticeSnackbar({ text, undo, onOpen, onDismiss }: Props): ReactElement {
  const [isHeld, setIsHeld] = useState(false);
  const [movedAt, setMovedAt] = useState(0);
  useEffect(() => {
    if (text === null || isHeld) return undefined;
    const timer = setTimeout(onDismiss, undo?.milliseconds ?? SHOWN_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [text, undo, isHeld, movedAt, onDismiss]);
  useEffect(() => {
    // What was held went with the notice.
    if (text === null) setIsHeld(false);
  }, [text]);
  const hold = (next: boolean) => (): void => {
    setIsHeld(next);
    undo?.onHold(next);
  };
  const move = ({ nativeEvent: { timeStamp, movementX, movementY } }: { nativeEvent: Moved }): void => {
    if (timeStamp - movedAt < MOVED_MILLISECONDS || (movementX === 0 && movementY === 0)) return;
    setMovedAt(timeStamp);
    if (!isHeld) undo?.onHold(false);
  };
  const atIt = { onPointerMove: move, onFocus: hold(true), onBlur: hold(false) } as object;
  return (
    <View {...atIt} style={sheet.layer}>
      <Snackbar
        visible={text !== null}
        onDismiss={onDismiss}
        // The bar would go by its own clock, whoever is at it.
        duration={Infinity}
        wrapperStyle={belowTopBar}
        {...(onOpen !== null
          ? { action: { label: 'Open', onPress: onOpen, contentStyle: { minHeight: TARGET } } }
          : undo === null
            ? {}
            : { action: { label: 'Undo', onPress: undo.onUndo, contentStyle: { minHeight: TARGET } } })}
      >
        {text ?? ''}
      </Snackbar>
    </View>
  );
}

const sheet = StyleSheet.create({
  layer: { position: 'absolute', top: 0, left: 0, right: 0, bottom: 0, pointerEvents: 'box-none' },
});
