import type { ServerResponse } from 'node:http';
import type { Revision } from '@oilcan/core';

/** Keeps proxies and phones from taking a quiet line for a dead one. */
const HEARTBEAT_MILLISECONDS = 25_000;
const PAUSE_MILLISECONDS = 1_000;

/**
 * Tells open phones that there is something new, and nothing more; they then pull. A phone that misses it
 * finds out with its next pull.
 */
export class News {
  readonly #listeners = new Set<ServerResponse>();
  readonly #heartbeat = setInterval(() => this.#write(':\n\n'), HEARTBEAT_MILLISECONDS);

  #newest: Revision = 0;
  #pause: NodeJS.Timeout | null = null;

  constructor() {
    this.#heartbeat.unref();
  }

  /** Keeps the response open and writes to it from now on, until either side ends it. */
  listen(response: ServerResponse): void {
    this.#listeners.add(response);
    response.on('close', () => this.#listeners.delete(response));
    response.write('retry: 2000\n\n');
  }

  /** At once after a quiet while, then at most once a second: a busy plant does not make every phone ask all the time. */
  tell(revision: Revision): void {
    this.#newest = revision;
    if (this.#pause !== null) return;
    this.#send();
    const sent = revision;
    this.#pause = setTimeout(() => {
      this.#pause = null;
      if (this.#newest !== sent) this.tell(this.#newest);
    }, PAUSE_MILLISECONDS).unref();
  }

  #send(): void {
    this.#write(`event: news\ndata: ${this.#newest}\n\n`);
  }

  close(): void {
    clearInterval(this.#heartbeat);
    if (this.#pause !== null) clearTimeout(this.#pause);
    for (const response of this.#listeners) response.end();
  }

  #write(text: string): void {
    for (const response of this.#listeners) response.write(text);
  }
}
