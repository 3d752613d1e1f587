import { useEffect } from 'react';
import { now } from '../../data/store';

/** While somebody is signed in: shows new notices through the browser, as they chose. Not needed for the first screen. */
export function usePushes(isSignedIn: boolean): void {
  useEffect(() => {
    if (!isSignedIn) return undefined;
    const since = now();
    let stop: (() => void) | undefined;
    let isOver = false;
    void import('./push').then(({ showPushes }) => {
      if (!isOver) stop = showPushes(since);
    });
    return () => {
      isOver = true;
      stop?.();
    };
  }, [isSignedIn]);
}
