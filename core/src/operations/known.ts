import type { Instant } from '../kernel/time/instant';
import type { OperationContext } from './operation';

/** Counts what the server has written: whoever has read up to a revision has everything that it wrote before. */
export type Revision = number;

/** When something came to be known to everybody. */
export interface MadeKnown {
  /** By the server's clock. */
  readonly since: Instant;
  /** Whoever has read up to this revision knows of it. Absent on a phone that has not sent it, and on what was written before this was noted. */
  readonly revision?: Revision;
}

/** What an operation does comes to be known with the operation. */
export function madeKnownBy({ now, revision }: Pick<OperationContext, 'now' | 'revision'>): MadeKnown {
  return revision === null ? { since: now } : { since: now, revision };
}

/**
 * Whether the person of an operation could know of something: the one answer that every rule goes by. Revisions say it exactly. The clocks
 * of before are asked only where one side has none: an operation of an older phone, or a mark of an older server.
 */
export function couldKnow(
  { since, revision }: MadeKnown,
  { knownUntil, seenRevision }: Pick<OperationContext, 'knownUntil' | 'seenRevision'>,
): boolean {
  if (revision === undefined || seenRevision === null) return since < knownUntil;
  return revision <= seenRevision;
}
