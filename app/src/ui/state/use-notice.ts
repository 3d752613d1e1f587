import { create } from 'zustand';

/** What takes back what a notice tells of. */
export interface NoticeUndo {
  /** For so long it can be taken back. */
  readonly milliseconds: number;
  readonly onUndo: () => void;
  /** Somebody is at it, or has left it: meanwhile no time passes. */
  readonly onHold: (isHeld: boolean) => void;
}

interface NoticeState {
  readonly text: string | null;
  /** Opens what the notice tells of; null where it tells of nothing that can be opened. */
  readonly open: (() => void) | null;
  readonly say: (text: string, open?: () => void) => void;
  readonly clear: () => void;
}

/** One short sentence about what just happened. */
export const useNotice = create<NoticeState>((set) => ({
  text: null,
  open: null,
  say: (text, open) => set({ text, open: open ?? null }),
  clear: () => set({ text: null, open: null }),
}));
