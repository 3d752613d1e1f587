import type { ReactElement } from 'react';
import { Snackbar } from 'react-native-paper';

const SHOWN_MILLISECONDS = 3_500;
/** Clear of the dock and of whatever the thumb presses next. */
const belowTopBar = { top: 60, bottom: undefined };

/** The bar itself, loaded with the first notice. */
export function NoticeSnackbar({
  text,
  onDismiss,
}: {
  readonly text: string | null;
  readonly onDismiss: () => void;
}): ReactElement {
  return (
    <Snackbar visible={text !== null} onDismiss={onDismiss} duration={SHOWN_MILLISECONDS} wrapperStyle={belowTopBar}>
      {text ?? ''}
    </Snackbar>
  );
}
