import type { ReactElement } from 'react';
import { Snackbar } from 'react-native-paper';
import { create } from 'zustand';

interface NoticeState {
  readonly text: string | null;
  readonly say: (text: string) => void;
  readonly clear: () => void;
}

/** One short sentence about what just happened. */
export const useNotice = create<NoticeState>((set) => ({
  text: null,
  say: (text) => set({ text }),
  clear: () => set({ text: null }),
}));

const SHOWN_MILLISECONDS = 3_500;
/** Clear of the dock and of whatever the thumb presses next. */
const belowTopBar = { top: 60, bottom: undefined };

export function NoticeBar(): ReactElement {
  const { text, clear } = useNotice();
  return (
    <Snackbar visible={text !== null} onDismiss={clear} duration={SHOWN_MILLISECONDS} wrapperStyle={belowTopBar}>
      {text ?? ''}
    </Snackbar>
  );
}
