import { useCallback, useRef } from 'react';

/**
 * Begins what a key does, once: a second press while it is under way, or once it is done, does nothing.
 *
 * @returns a function that takes what is to be done, which says whether it is done; while it is not, as after a refusal, it can be
 *   pressed again
 */
export function useOnce(): (act: () => Promise<boolean>) => void {
  const isTaken = useRef(false);
  return useCallback((act) => {
    if (isTaken.current) return;
    isTaken.current = true;
    const leaveOpen = (isDone: boolean): void => {
      isTaken.current = isDone;
    };
    void act().then(leaveOpen, (error: unknown) => {
      leaveOpen(false);
      throw error;
    });
  }, []);
}
