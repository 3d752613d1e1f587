import { AsyncLocalStorage } from 'node:async_hooks';

/** How what the application asks reaches a server. */
export type Way = (path: string, init: RequestInit) => Promise<Response>;

/** The way over the network. */
export const network = globalThis.fetch;

const speaking = new AsyncLocalStorage<Way>();

/** The application's own line to its server: it asks as whoever speaks. */
globalThis.fetch = (path, init = {}) => {
  const way = speaking.getStore();
  if (way === undefined) throw new Error('Nobody speaks.');
  return way(String(path), init);
};

/** Whatever is asked of the server meanwhile goes this way. */
export const speakOver = <Answer>(way: Way, work: () => Promise<Answer>): Promise<Answer> => speaking.run(way, work);
