/** Part of the service worker: a press on a notification leads to its work order, in the window that is open if there is one. */
import { isPathToOpen } from '../src/features/overview/notices/path-to-open';

interface OpenWindow {
  focus(): Promise<unknown>;
  postMessage(message: unknown): void;
}

interface ServiceWorkerScope {
  readonly clients: {
    matchAll(of: { readonly type: 'window' }): Promise<readonly OpenWindow[]>;
    openWindow(path: string): Promise<unknown>;
  };
  addEventListener(what: 'notificationclick', listener: (event: NotificationPress) => void): void;
}

interface NotificationPress {
  readonly notification: { readonly data: unknown; close(): void };
  waitUntil(work: Promise<unknown>): void;
}

const worker = self as unknown as ServiceWorkerScope;

worker.addEventListener('notificationclick', (event) => {
  const { notification } = event;
  notification.close();
  const { data } = notification;
  if (isPathToOpen(data)) event.waitUntil(open(data));
});

async function open(path: { readonly open: string }): Promise<void> {
  const [window] = await worker.clients.matchAll({ type: 'window' });
  if (window === undefined) {
    await worker.clients.openWindow(path.open);
    return;
  }
  // A window is told where to go and goes there itself: loading it anew would lose what is being typed in it.
  window.postMessage(path);
  await window.focus().catch(() => undefined);
}
