import type { ServerResponse } from 'node:http';
import type { Revision } from '@oilcan/core/sync';
import { nobodyElse, type Channel } from '../database/channel';
import type { Audience } from '../database/feed/audiences';
import { EventsOfOthers } from './shared-events';

/** Keeps proxies and phones from taking a quiet line for a dead one. */
const HEARTBEAT_MILLISECONDS = 25_000;
const PAUSE_MILLISECONDS = 1_000;

/** An open line of a phone. */
interface Listener {
  readonly response: ServerResponse;
  /** What it hears of. */
  audiences: ReadonlySet<Audience>;
  /** Finds out anew what that is. */
  readonly audiencesNow: () => Promise<Iterable<Audience>>;
  /** The session in which it was opened, and with which it ends. */
  readonly session: string;
  /** The newest revision that concerns it, when it was not told yet. */
  untold: Revision | null;
}

/**
 * Tells open phones that there is something new for them, and nothing more; they then pull. A phone that misses it
 * finds out with its next pull.
 */
export class ChangeEvents {
  readonly #listeners = new Set<Listener>();
  readonly #heartbeat = setInterval(() => this.#beat(), HEARTBEAT_MILLISECONDS);

  #pause: NodeJS.Timeout | null = null;

  readonly #others: EventsOfOthers;
  /** The newest revision of which phones were told here, or another server said that it told. */
  #told: Revision = 0;
  /** How far the database was when it was last looked at. */
  #lookedAt: Revision = 0;

  /** @param channel to the other servers on the database */
  constructor(channel: Channel = nobodyElse) {
    this.#heartbeat.unref();
    this.#others = new EventsOfOthers(channel, ({ revision, concerned, endedSessions = [] }) => {
      if (revision !== undefined) this.#tellHere(revision, concerned == null ? null : new Set(concerned));
      this.#endHere(new Set(endedSessions));
    });
  }

  /** Keeps the response open and writes to it from now on, until either side, or its session, ends. */
  listen(response: ServerResponse, of: Pick<Listener, 'audiences' | 'audiencesNow' | 'session'>): void {
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
    this.#tellHere(revision, concerned);
    this.#others.say({ revision, concerned: [...concerned] });
  }

  /** Called when what decides who carries what has changed: each line hears of what its person carries now. */
  async scopesChanged(): Promise<void> {
    for (const listener of this.#listeners) listener.audiences = new Set(await listener.audiencesNow());
  }

  /**
   * Called now and then with how far the database is: what was written the last time already and of which nobody told since, another server wrote that
   * did not get to say so. Everybody here hears of it.
   */
  look(newest: Revision): void {
    if (this.#lookedAt === 0) this.#told = Math.max(newest, this.#told);
    if (this.#lookedAt > this.#told) this.#tellHere(this.#lookedAt, null);
    this.#lookedAt = Math.max(newest, this.#lookedAt);
  }

  #tellHere(revision: Revision, concerned: ReadonlySet<Audience> | null): void {
    this.#told = Math.max(this.#told, revision);
    for (const listener of this.#listeners)
      if (concerned === null || [...concerned].some((each) => listener.audiences.has(each))) listener.untold = revision;
    if (this.#pause === null) this.#send();
  }

  /** Ends the lines of sessions that have ended. */
  endSessions(ended: ReadonlySet<string>): void {
    this.#endHere(ended);
    if (ended.size > 0) this.#others.say({ endedSessions: [...ended] });
  }

  #endHere(ended: ReadonlySet<string>): void {
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

  async close(): Promise<void> {
    clearInterval(this.#heartbeat);
    if (this.#pause !== null) clearTimeout(this.#pause);
    for (const { response } of this.#listeners) response.end();
    await this.#others.close();
  }

  #beat(): void {
    for (const { response } of this.#listeners) response.write(':\n\n');
  }
}
