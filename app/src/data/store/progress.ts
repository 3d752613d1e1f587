import { create } from 'zustand';
import { usePhone } from './store';

interface Progress {
  /** How many went to the server since the last time that none waited. */
  readonly gone: number;
  /** Of the files that are being brought, how many are kept; null when none is. */
  readonly bringing: { readonly kept: number; readonly of: number } | null;
}

/** How far a long way out is: hundreds of photos, a day without signal. */
export const useProgress = create<Progress>(() => ({ gone: 0, bringing: null }));

/** So many of so many files are kept; null when that is over. */
export function noteBringing(bringing: Progress['bringing']): void {
  useProgress.setState({ bringing });
}

usePhone.subscribe(({ pending }, before) => {
  if (pending === before.pending) return;
  const went = [...before.pending].filter((id) => !pending.has(id)).length;
  if (pending.size === 0) useProgress.setState({ gone: 0 });
  else if (went > 0) useProgress.setState(({ gone }) => ({ gone: gone + went }));
});
