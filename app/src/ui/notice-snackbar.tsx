import type { ReactElement } from 'react';
import { Snackbar } from 'react-native-paper';
import { TARGET } from './theme';

const SHOWN_MILLISECONDS = 3_500;
/** Clear of the dock and of whatever the thumb presses next. */
const belowTopBar = { top: 60, bottom: undefined };

interface Props {
  readonly text: string | null;
  /** What takes back what the notice tells of, and for how long that is possible; null where nothing does. */
  readonly undo: { readonly milliseconds: number; readonly onUndo: () => void } | null;
  readonly onDismiss: () => void;
}

/** The bar itself, loaded with the first notice. */
export function NoticeSnackbar({ text, undo, onDismiss }: Props): ReactElement {
  return (
    <Snackbar
      visible={text !== null}
      onDismiss={onDismiss}
      duration={undo?.milliseconds ?? SHOWN_MILLISECONDS}
      wrapperStyle={belowTopBar}
      {...(undo === null
        ? {}
        : { action: { label: 'Undo', onPress: undo.onUndo, contentStyle: { minHeight: TARGET } } })}
    >
      {text ?? ''}
    </Snackbar>
  );
}
