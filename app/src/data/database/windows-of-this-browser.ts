import { noOtherWindows, type OtherWindows, type Told } from './other-windows';

/**
 * The windows of this browser, over a broadcast channel and a lock. A browser without them still loses nothing:
 * the database notices who was overtaken.
 */
export function windowsOfThisBrowser(name: string): OtherWindows {
  if (typeof BroadcastChannel === 'undefined') return noOtherWindows;
  const channel = new BroadcastChannel(name);
  return {
    tell: (told) => channel.postMessage(told),
    onTold: (listener) => {
      channel.addEventListener('message', (event: MessageEvent<Told>) => listener(event.data));
    },
    alone: async (task) => {
      if (!('locks' in navigator)) return task();
      await navigator.locks.request(`${name}.synchronize`, task);
    },
  };
}
