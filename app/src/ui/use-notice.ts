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
