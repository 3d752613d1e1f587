import { lazy, Suspense, useState, type ReactElement } from 'react';
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

const NoticeSnackbar = lazy(() => import('./notice-snackbar').then((module) => ({ default: module.NoticeSnackbar })));

/** Shows the sentence for a while. */
export function NoticeBar(): ReactElement | null {
  const { text, clear } = useNotice();
  const [wasEverShown, setWasEverShown] = useState(false);
  if (text !== null && !wasEverShown) setWasEverShown(true);
  if (!wasEverShown) return null;
  return (
    <Suspense fallback={null}>
      <NoticeSnackbar text={text} onDismiss={clear} />
    </Suspense>
  );
}
