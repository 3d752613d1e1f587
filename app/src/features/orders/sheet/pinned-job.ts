import { create } from 'zustand';

interface PinnedJob {
  /** The job that stays beside whatever is open, on a wide screen; null for none. */
  readonly workOrderId: string | null;
  readonly pin: (workOrderId: string | null) => void;
}

/** Two jobs side by side: one is pinned, the list opens the other. */
export const usePinnedJob = create<PinnedJob>((set) => ({
  workOrderId: null,
  pin: (workOrderId) => set({ workOrderId }),
}));
