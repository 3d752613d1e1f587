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
  readonly say: (text: string) => void;
  readonly clear: () => void;
}

/** One short sentence about what just happened. */
export const useNotice = create<NoticeState>((set) => ({
  text: null,
  say: (text) => set({ text }),
  clear: () => set({ text: null }),
}));
