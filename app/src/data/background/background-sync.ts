import { useEffect } from 'react';
import { retryDelay } from '@oilcan/core/sync';
import { carryAheadLater } from './carry-ahead';
import { openNewsLine } from '../server/news-line';
import { onReached, synchronize, usePhone } from '../store/store';

/** Without news for so long, the phone asks by itself. */
const QUIET_MILLISECONDS = 30_000;
/** News reach all phones in the same moment; they ask spread over this long. */
const NEWS_SPREAD_MILLISECONDS = 300;

/**
 * Synchronizes at the start, when the server has news, when signal or the screen comes back, and now and then; after a
 * failure ever more rarely.
 */
export function useBackgroundSync(isSignedIn: boolean): void {
  const hasSession = usePhone((state) => state.contact !== 'signed-out');
  useEffect(() => {
    if (!isSignedIn) return undefined;
    let failures = 0;
    let next: ReturnType<typeof setTimeout> | undefined;
    let isOver = false;
    const after = (milliseconds: number): void => {
      clearTimeout(next);
      if (!isOver) next = setTimeout(() => void sync(), milliseconds);
    };
    const sync = async (): Promise<void> => {
      let isReached = false;
      try {
        await synchronize();
        isReached = usePhone.getState().contact === 'reached';
      } finally {
        // Whatever went wrong, there is a next try.
        failures = isReached ? 0 : failures + 1;
        after(isReached ? QUIET_MILLISECONDS : retryDelay(failures, Math.random()));
      }
    };
    const atOnce = (): void => {
      failures = 0;
      after(0);
    };
    const whenSeen = (): void => {
      if (document.visibilityState === 'visible') atOnce();
    };
    const atNews = (): void => after(Math.random() * NEWS_SPREAD_MILLISECONDS);
    const carryNoMore = onReached(carryAheadLater);
    atOnce();
    const endNews = openNewsLine({ open: () => new EventSource('/api/news'), onNews: atNews, onOpen: atOnce });
    window.addEventListener('online', atOnce);
    window.addEventListener('focus', whenSeen);
    document.addEventListener('visibilitychange', whenSeen);
    return () => {
      isOver = true;
      clearTimeout(next);
      carryNoMore();
      endNews();
      window.removeEventListener('online', atOnce);
      window.removeEventListener('focus', whenSeen);
      document.removeEventListener('visibilitychange', whenSeen);
    };
    // A line that was refused for want of a session is opened anew once there is one again.
  }, [isSignedIn, hasSession]);
}
