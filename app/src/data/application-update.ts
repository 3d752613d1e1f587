import { Workbox } from 'workbox-window';
import { create } from 'zustand';

interface UpdateState {
  /** Takes the new version that is waiting on this phone; null while there is none. */
  readonly take: (() => void) | null;
}

/** Whether a newer application waits. It is taken when the person says so, never by itself. */
export const useApplicationUpdate = create<UpdateState>(() => ({ take: null }));

/** Lets the browser keep the application, so that it starts with no network. */
export function keepApplication(): void {
  if (!('serviceWorker' in navigator)) return;
  const worker = new Workbox('/service-worker.js');
  worker.addEventListener('waiting', () => {
    useApplicationUpdate.setState({
      take: () => {
        worker.addEventListener('controlling', () => window.location.reload());
        worker.messageSkipWaiting();
      },
    });
  });
  // Without a service worker (a private window, an old browser) everything works, but only with signal.
  worker.register().catch(() => undefined);
}
