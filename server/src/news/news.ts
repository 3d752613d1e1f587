import type { ServerResponse } from 'node:http';
import type { Revision } from '@oilcan/core/sync';
import type { Audience } from '../database/feed/audiences';

/** Keeps proxies and phones from taking a quiet line for a dead one. */
const HEARTBEAT_MILLISECONDS = 25_000;
const PAUSE_MILLISECONDS = 1_000;

/** An open line of a phone. */
interface Listener {
  readonly response: ServerResponse;
  /** What it hears of. */
  readonly audiences: ReadonlySet<Audience>;
  /** The session in which it was opened, and with which it ends. */
  readonly session: string;
  /** The newest revision that concerns it, when it was not told yet. */
  untold: Revision | null;
}

/**
 * Tells open phones that there is something new for them, and nothing more; they then pull. A phone that misses it
 * finds out with its next pull.
 */
export class News {
  readonly #listeners = new Set<Listener>();
  readonly #heartbeat = setInterval(() => this.#beat(), HEARTBEAT_MILLISECONDS);

  #pause: NodeJS.Timeout | null = null;

  constructor() {
    this.#heartbeat.unref();
  }

  /** Keeps the response open and writes to it from now on, until either side, or its session, ends. */
  listen(response: ServerResponse, of: Pick<Listener, 'audiences' | 'session'>): void {
    const listener: Listener = { response, ...of, untold: null };
    this.#listeners.add(listener);
    response.on('close', () => this.#listeners.delete(listener));
    response.write('retry: 2000\n\n');
  }

  /**
   * To those whom it concerns: at once after a quiet while, then at most once a second, because a busy plant should not make
   * every phone ask all the time.
   */
  tell(revision: Revision, concerned: ReadonlySet<Audience>): void {
    for (const listener of this.#listeners)
      if ([...concerned].some((each) => listener.audiences.has(each))) listener.untold = revision;
    if (this.#pause === null) this.#send();
  }

  /** Ends the lines of sessions that have ended. */
  endSessions(ended: ReadonlySet<string>): void {
    for (const { response, session } of this.#listeners) if (ended.has(session)) response.end();
  }

  #send(): void {
    const waiting = [...this.#listeners].filter(({ untold }) => untold !== null);
    if (waiting.length === 0) return;
    for (const listener of waiting) {
      listener.response.write(`event: news\ndata: ${listener.untold}\n\n`);
      listener.untold = null;
    }
    this.#pause = setTimeout(() => {
      this.#pause = null;
      this.#send();
    }, PAUSE_MILLISECONDS).unref();
  }

  close(): void {
    clearInterval(this.#heartbeat);
    if (this.#pause !== null) clearTimeout(this.#pause);
    for (const { response } of this.#listeners) response.end();
  }

  #beat(): void {
    for (const { response } of this.#listeners) response.write(':\n\n');
  }
}
