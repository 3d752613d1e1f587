import { router } from 'expo-router';
import { useEffect } from 'react';
import { now } from '../../../data/store/store';
import { withSharedCode } from '../../../ui/loading/shared-code';

/**
 * While somebody is signed in: shows new notices through the browser, as they chose, and goes to the work order of one
 * that is pressed. Not needed for the first screen.
 */
export function usePushes(isSignedIn: boolean): void {
  useEffect(() => {
    if (!isSignedIn) return undefined;
    const since = now();
    const stops: (() => void)[] = [];
    let isOver = false;
    void withSharedCode(() => import('./push')).then(({ followPushes, showPushes }) => {
      if (!isOver)
        stops.push(
          showPushes(since),
          followPushes((path) => router.navigate(path)),
        );
    });
    return () => {
      isOver = true;
      for (const stop of stops) stop();
    };
  }, [isSignedIn]);
}
