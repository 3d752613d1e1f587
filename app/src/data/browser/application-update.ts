import { create } from 'zustand';
import { machineMillis } from './machine-clock';

interface UpdateState {
  /** Takes the new version that is waiting on this phone; null while there is none. */
  readonly take: (() => void) | null;
}

/** Whether a newer application waits. It is taken when the person says so, never by itself. */
export const useApplicationUpdate = create<UpdateState>(() => ({ take: null }));

/** Long enough for a newer application to come over a thin line, short enough to be waited for. */
const UPDATE_MILLISECONDS = 15_000;

let registered: Promise<ServiceWorkerRegistration> | undefined;

/** Lets the browser keep the application, so that it starts with no network. */
export function keepApplication(): void {
  if (!('serviceWorker' in navigator)) return;
  registered = navigator.serviceWorker.register('/service-worker.js');
  // Without a service worker (a private window, an old browser) everything works, but only with signal.
  registered.then(watch, () => undefined);
}

function watch(registration: ServiceWorkerRegistration): void {
  offer(registration);
  registration.addEventListener('updatefound', () => {
    registration.installing?.addEventListener('statechange', () => offer(registration));
  });
}

/** Offers the application that waits; the first one, which nothing runs before, takes over by itself. */
function offer({ waiting }: ServiceWorkerRegistration): void {
  if (waiting === null || navigator.serviceWorker.controller === null) return;
  useApplicationUpdate.setState({
    take: () => {
      navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
      waiting.postMessage({ type: 'SKIP_WAITING' });
    },
  });
}

/** Looks for a newer application and takes it; loads the page again when there is none. */
export async function takeUpdate(): Promise<void> {
  const end = machineMillis() + UPDATE_MILLISECONDS;
  const registration = await registered?.catch(() => undefined);
  await registration?.update().catch(() => undefined);
  while (registration?.installing && machineMillis() < end) await new Promise((resolve) => setTimeout(resolve, 200));
  const { take } = useApplicationUpdate.getState();
  if (take === null) window.location.reload();
  else take();
}
