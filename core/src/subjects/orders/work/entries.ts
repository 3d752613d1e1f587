import type { AssetId, EntryId, PersonId, SiteId, WorkOrderId } from '../../../kernel/ids';
import { minutesBetween, type Instant } from '../../../kernel/time/instant';
import type { WorkState } from './work-order';

export interface StateContent {
  readonly kind: 'state';
  readonly from: WorkState;
  readonly to: WorkState;
  readonly reason: string;
}

/** Takes back the entry it amends. */
export interface WithdrawalContent {
  readonly kind: 'withdrawal';
  readonly reason: string;
}

/** What each kind of entry says. Here are those of every work order; each subject adds its own (`declare module`). */
export interface EntryContents {
  state: StateContent;
  withdrawal: WithdrawalContent;
}

export type EntryKind = keyof EntryContents & string;
export type EntryContent = EntryContents[EntryKind];

/** How an entry came in, where a lead should look twice at its time. */
export interface Arrival {
  /** When it came to the server. */
  readonly at: Instant;
  /** How far its device's clock was off, in minutes; zero when it was right. */
  readonly clockOffMinutes: number;
}

/** What comes in so long after it was made, or from a clock that is so far off, is marked for the review. */
const LATE_MINUTES = 24 * 60;
const CLOCK_OFF_MINUTES = 10;

/** The mark of an entry that was made at `at` and comes in at `now`; undefined when nothing is strange about it. */
export function arrivalOf(at: Instant, now: Instant, clockOffMinutes: number): Arrival | undefined {
  const isOff = Math.abs(clockOffMinutes) > CLOCK_OFF_MINUTES;
  if (!isOff && minutesBetween(at, now) <= LATE_MINUTES) return undefined;
  return { at: now, clockOffMinutes: isOff ? clockOffMinutes : 0 };
}

/** One thing recorded on a work order. Never changed: amended by another entry that names it. */
export interface Entry {
  readonly id: EntryId;
  readonly siteId: SiteId;
  readonly workOrderId: WorkOrderId;
  readonly assetId: AssetId;
  /** When it was recorded. */
  readonly at: Instant;
  readonly by: PersonId;
  readonly amends: EntryId | null;
  /** Present where it was recorded long after it happened, or by a clock that was far off. */
  readonly arrival?: Arrival;
  readonly content: EntryContent;
}

export type EntryOf<Kind extends EntryKind> = Entry & { readonly content: EntryContents[Kind] };

function isEntryOf<Kind extends EntryKind>(entry: Entry, kind: Kind): entry is EntryOf<Kind> {
  return entry.content.kind === kind;
}

/** The entries that hold: those not amended by another, without the withdrawals themselves. */
export function currentEntries(entries: readonly Entry[]): Entry[] {
  const amended = new Set(entries.map((entry) => entry.amends));
  return entries.filter((entry) => !amended.has(entry.id) && entry.content.kind !== 'withdrawal');
}

/** Standing entries of one kind. */
export function currentOf<Kind extends EntryKind>(entries: readonly Entry[], kind: Kind): EntryOf<Kind>[] {
  return currentEntries(entries).filter((entry): entry is EntryOf<Kind> => isEntryOf(entry, kind));
}

/** All entries as the record shows them: newest first, ties by id. */
export function inTimeOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((a, b) => compare(b.at, a.at) || compare(b.id, a.id));
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
