import type { ServerResponse } from 'node:http';
import type { Revision } from '@oilcan/core';

/** Keeps proxies and phones from taking a quiet line for a dead one. */
const HEARTBEAT_MILLISECONDS = 25_000;

/**
 * Tells open phones that there is something new, and nothing more; they then pull. A phone that misses it
 * finds out with its next pull.
 */
export class News {
  readonly #listeners = new Set<ServerResponse>();
  readonly #heartbeat = setInterval(() => this.#write(':\n\n'), HEARTBEAT_MILLISECONDS);

  constructor() {
    this.#heartbeat.unref();
  }

  /** Keeps the response open and writes to it from now on, until either side ends it. */
  listen(response: ServerResponse): void {
    this.#listeners.add(response);
    response.on('close', () => this.#listeners.delete(response));
    response.write('retry: 2000\n\n');
  }

  tell(revision: Revision): void {
    this.#write(`event: news\ndata: ${revision}\n\n`);
  }

  close(): void {
    clearInterval(this.#heartbeat);
    for (const response of this.#listeners) response.end();
  }

  #write(text: string): void {
    for (const response of this.#listeners) response.write(text);
  }
}
