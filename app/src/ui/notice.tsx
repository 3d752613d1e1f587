import { useEffect, useState, type ReactElement } from 'react';
import { create } from 'zustand';
import { piece } from './piece';

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

const NoticeSnackbar = piece(() => import('./notice-snackbar').then((module) => module.NoticeSnackbar));
/** After the first screen, so that it is there with the first notice, signal or not. */
const LATER_MILLISECONDS = 1_000;

/** Shows the sentence for a while. */
export function NoticeBar(): ReactElement | null {
  const { text, clear } = useNotice();
  const [isThere, setIsThere] = useState(false);
  useEffect(() => {
    if (isThere) return undefined;
    const timer = setTimeout(() => {
      NoticeSnackbar.load().then(
        () => setIsThere(true),
        () => undefined,
      );
    }, LATER_MILLISECONDS);
    return () => clearTimeout(timer);
    // Without signal it is tried again with each notice.
  }, [isThere, text]);
  if (!isThere) return null;
  return <NoticeSnackbar text={text} onDismiss={clear} />;
}
