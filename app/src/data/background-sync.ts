import { useEffect } from 'react';
import { synchronize, usePhone } from './store';

/** Without news for so long, the phone asks by itself. */
const QUIET_MILLISECONDS = 30_000;

/** Synchronizes at the start, when the server has news, when signal or the screen comes back, and now and then. */
export function useBackgroundSync(isSignedIn: boolean): void {
  const hasSession = usePhone((state) => state.contact !== 'signed-out');
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
    // A line that was refused for want of a session is opened anew once there is one again.
  }, [isSignedIn, hasSession]);
}
