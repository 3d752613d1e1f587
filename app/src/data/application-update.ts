import { Workbox } from 'workbox-window';
import { create } from 'zustand';

interface UpdateState {
  /** Takes the new version that is waiting on this phone; null while there is none. */
  readonly take: (() => void) | null;
}

/** Whether a newer application waits. It is taken when the person says so, never by itself. */
export const useApplicationUpdate = create<UpdateState>(() => ({ take: null }));

let worker: Workbox | undefined;

/** Lets the browser keep the application, so that it starts with no network. */
export function keepApplication(): void {
  if (!('serviceWorker' in navigator)) return;
  const kept = new Workbox('/service-worker.js');
  worker = kept;
  kept.addEventListener('waiting', () => {
    useApplicationUpdate.setState({
      take: () => {
        kept.addEventListener('controlling', () => window.location.reload());
        kept.messageSkipWaiting();
      },
    });
  });
  // Without a service worker (a private window, an old browser) everything works, but only with signal.
  kept.register().catch(() => undefined);
}

/** Looks for a newer application and takes it; loads the page again when none is waiting yet. */
export function takeUpdate(): void {
  const { take } = useApplicationUpdate.getState();
  if (take !== null) return take();
  const reload = (): void => {
    const waiting = useApplicationUpdate.getState().take;
    if (waiting === null) window.location.reload();
    else waiting();
  };
  (worker?.update() ?? Promise.resolve()).then(() => setTimeout(reload, 2_000), reload);
}
