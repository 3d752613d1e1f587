import type { Instant } from '../kernel/time/instant';

/** Counts what the server has written: whoever has read up to a revision has everything that it wrote before. */
export type Revision = number;

/** When something came to be known to everybody. */
export interface MadeKnown {
  /** By the server's clock. */
  readonly since: Instant;
  /** Whoever has read up to this revision knows of it. Absent on a phone that has not sent it, and on what was written before this was noted. */
  readonly revision?: Revision;
}

/** Up to where the person of an operation could know what others did. */
export interface Seen {
  /** What came to the server at this moment or later, the person could not know. */
  readonly knownUntil: Instant;
  /** Nor what it wrote under a later revision; null where the phone cannot say. */
  readonly seenRevision: Revision | null;
}

/** The side that carries out an operation: its present, and the revision under which the server will have written it. */
interface Carrying {
  readonly now: Instant;
  readonly revision: Revision | null;
}

/** What an operation does comes to be known with the operation. */
export function madeKnownBy({ now, revision }: Carrying): MadeKnown {
  return revision === null ? { since: now } : { since: now, revision };
}

/**
 * Whether the person of an operation could know of something: the one answer that every rule goes by. Revisions say it exactly. The clocks
 * of before are asked only where one side has none: an operation of an older phone, or a mark of an older server.
 */
export function couldKnow({ since, revision }: MadeKnown, { knownUntil, seenRevision }: Seen): boolean {
  if (revision === undefined || seenRevision === null) return since < knownUntil;
  return revision <= seenRevision;
}
