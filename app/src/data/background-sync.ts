import { useEffect } from 'react';
import { synchronize } from './store';

/** Without news for so long, the phone asks by itself. */
const QUIET_MILLISECONDS = 30_000;

/** Synchronizes at the start, when the server has news, when signal or the screen comes back, and now and then. */
export function useBackgroundSync(isSignedIn: boolean): void {
  useEffect(() => {
    if (!isSignedIn) return undefined;
    const sync = (): void => void synchronize();
    const whenSeen = (): void => {
      if (document.visibilityState === 'visible') sync();
    };
    sync();
    const news = new EventSource('/api/news');
    news.addEventListener('news', sync);
    news.addEventListener('open', sync);
    window.addEventListener('online', sync);
    document.addEventListener('visibilitychange', whenSeen);
    const timer = setInterval(sync, QUIET_MILLISECONDS);
    return () => {
      news.close();
      window.removeEventListener('online', sync);
      document.removeEventListener('visibilitychange', whenSeen);
      clearInterval(timer);
    };
  }, [isSignedIn]);
}
