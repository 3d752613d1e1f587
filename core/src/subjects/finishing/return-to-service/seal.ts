import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { EntryId } from '../../../kernel/ids';
import type { Viewer } from '../../../records/table';
import { currentEntries, type Entry } from '../../orders/work/entries';
import { anyEntryKind, type EntryKindSet } from '../../orders/work/entry-kinds';

/** What a signature was given for: these entries, as they were. */
export interface Seal {
  readonly entryIds: readonly EntryId[];
  /** SHA-256 (FIPS 180-4) of them, in hexadecimal. */
  readonly hash: string;
}

/** What is signed for: everything that stands on the job, without the signatures themselves. */
export function sealOf(kinds: EntryKindSet, entries: readonly Entry[]): Seal {
  const signed = currentEntries(entries)
    .filter(({ content }) => content.kind !== 'returned')
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  return { entryIds: signed.map(({ id }) => id), hash: hashOf(kinds, signed) };
}

/** Somebody who may know nothing that is kept from anybody: what they see is the same on every phone and on the server. */
const anybody: Viewer = { id: '', siteIds: [], mayKnow: new Set() };

/**
 * One number for entries in this order: any other letter in any of them gives another. What is kept from some, such as what
 * people's time costs, does not count, so that whoever signs and whoever checks come to the same.
 */
export function hashOf(kinds: EntryKindSet, entries: readonly Entry[]): string {
  const seen = entries.map(({ id, at, by, content }) => ({
    id,
    at,
    by,
    content: anyEntryKind(kinds, content.kind)?.shown?.(content, anybody) ?? content,
  }));
  return bytesToHex(sha256(utf8ToBytes(canonical(seen))));
}

/** JSON with the fields of every object in the order of their names, so that equal values are equal texts (as RFC 8785 has it). */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const fields = Object.entries(value)
    .filter(([, each]) => each !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${fields.map(([name, each]) => `${JSON.stringify(name)}:${canonical(each)}`).join()}}`;
}

/** What became of a record since it was signed for. */
export interface SealStanding {
  /** Entries that were signed and have been amended or taken back since. */
  readonly amended: number;
  /** Entries that came after. */
  readonly added: number;
  /** Some of what was signed is not here, or is not what it was. */
  readonly isBroken: boolean;
}

export function sealStanding(kinds: EntryKindSet, { entryIds, hash }: Seal, entries: readonly Entry[]): SealStanding {
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  const signed = entryIds.flatMap((id) => byId.get(id) ?? []);
  const standing = new Set(currentEntries(entries).map(({ id }) => id));
  const sealed = new Set(entryIds);
  // An amendment of what was signed is counted there; all else that stands and was not signed came after.
  const added = currentEntries(entries).filter(
    ({ id, amends, content }) =>
      !sealed.has(id) &&
      content.kind !== 'returned' &&
      content.kind !== 'state' &&
      (amends === null || !sealed.has(amends)),
  );
  return {
    amended: signed.filter(({ id }) => !standing.has(id)).length,
    added: added.length,
    isBroken: signed.length < entryIds.length || hashOf(kinds, signed) !== hash,
  };
}
