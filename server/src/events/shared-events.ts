import { randomUUID } from 'node:crypto';
import type { Revision } from '@oilcan/core/sync';
import type { Channel } from '../database/channel';
import type { Audience } from '../database/feed/audiences';

/** NOTIFY takes less than 8,000 bytes. */
const MOST_BYTES = 7_000;

/** What happened on one server, as another hears it. */
export interface SharedEvents {
  readonly revision?: Revision;
  /** Whom it concerns; null for everybody. */
  readonly concerned?: readonly Audience[] | null;
  readonly endedSessions?: readonly string[];
}

/** The events that servers on one database tell one another. */
export class EventsOfOthers {
  readonly #channel: Channel;
  readonly #name = randomUUID();
  readonly #stop: () => Promise<void>;

  constructor(channel: Channel, heard: (events: SharedEvents) => void) {
    this.#channel = channel;
    this.#stop = channel.listen((text) => {
      const said = read(text);
      if (said !== null && said.by !== this.#name) heard(said);
    });
  }

  /** What does not get through is found by looking at the database. */
  say(events: SharedEvents): void {
    const whole = JSON.stringify({ by: this.#name, ...events });
    const text =
      Buffer.byteLength(whole) < MOST_BYTES ? whole : JSON.stringify({ by: this.#name, ...events, concerned: null });
    this.#channel.say(text).catch(() => undefined);
  }

  close(): Promise<void> {
    return this.#stop();
  }
}

function read(text: string): (SharedEvents & { readonly by: string }) | null {
  try {
    const said: unknown = JSON.parse(text);
    return typeof said === 'object' && said !== null && 'by' in said ? (said as SharedEvents & { by: string }) : null;
  } catch {
    return null;
  }
}
