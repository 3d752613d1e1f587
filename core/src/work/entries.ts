import type { PictureType } from '../files/files';
import type {
  AssetId,
  BinId,
  EntryId,
  FileId,
  PartId,
  PersonId,
  PointId,
  SiteId,
  StepId,
  WorkOrderId,
} from '../ids/ids';
import type { Money } from '../money/money';
import type { Thousandths } from '../quantity/quantity';
import type { ReadingLevel } from '../readings/limits';
import { minutesBetween, type Instant } from '../time/instant';
import type { IsolationContent } from './isolation';
import type { StepAnswer } from './steps';
import type { WorkState } from './work-order';

export const timeTypes = ['regular', 'overtime', 'travel'] as const;
export type TimeType = (typeof timeTypes)[number];

/** What somebody's time was paid by when it was recorded. */
export interface LaborRate {
  /** Regular rate in the smallest currency unit an hour; may be a fraction of it. */
  readonly minorPerHour: number;
  /** Overtime is paid at this many percent of it. */
  readonly overtimePercent: number;
  /** ISO 4217. */
  readonly currency: string;
}

/**
 * Somebody's time. Its rate and cost are fixed when it is recorded, so that neither a later rate nor an amendment rewrites
 * the past. Both are null for whoever may not see what people cost, and on a phone that does not carry the rates.
 */
export interface LaborContent {
  readonly kind: 'labor';
  readonly personId: PersonId;
  readonly startedAt: Instant;
  readonly minutes: number;
  readonly timeType: TimeType;
  readonly rate: LaborRate | null;
  readonly cost: Money | null;
  /** Why somebody else stopped this person's clock; absent otherwise. */
  readonly stoppedBecause?: string;
}

/** What one unit of a part cost when it was used. */
export interface UnitPrice {
  /** In the smallest currency unit; may be a fraction of it. */
  readonly minor: number;
  /** ISO 4217. */
  readonly currency: string;
}

/** A part used (quantity above zero), at a price that stays as it was. */
export interface PartContent {
  readonly kind: 'part';
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
  readonly unitPrice: UnitPrice;
  readonly cost: Money;
}

export interface ReadingContent {
  readonly kind: 'reading';
  readonly pointId: PointId;
  readonly value: number;
  readonly level: ReadingLevel;
}

export interface NoteContent {
  readonly kind: 'note';
  readonly text: string;
}

/** A step answered, or its answer taken back (`null`). */
export interface AnswerContent {
  readonly kind: 'answer';
  readonly stepId: StepId;
  readonly answer: StepAnswer | null;
}

export interface AcknowledgementContent {
  readonly kind: 'acknowledgement';
  readonly hazardIds: readonly string[];
}

/** A hazard that somebody added to the list. */
export interface HazardContent {
  readonly kind: 'hazard';
  readonly id: string;
  readonly hazard: string;
  readonly control: string;
}

/** A picture, kept as a file under its SHA-256. */
export interface PhotoContent {
  readonly kind: 'photo';
  readonly fileId: FileId;
  readonly mediaType: PictureType;
  /** Size in pixels. */
  readonly width: number;
  readonly height: number;
  readonly caption: string;
}

export interface StateContent {
  readonly kind: 'state';
  readonly from: WorkState;
  readonly to: WorkState;
  readonly reason: string;
}

/** A coded failure, ISO 14224:2016 annex B. */
export interface FaultContent {
  readonly kind: 'fault';
  /** Failure-mode code, such as `ELU`. */
  readonly mode: string;
  /** Mechanism, such as `2.4`. */
  readonly mechanism: string;
  /** Cause, such as `3.3`. */
  readonly cause: string;
  /** Detection method 1–10. */
  readonly detection: number;
  /** Maintenance activity 1–12. */
  readonly activity: number;
  /** Which part of the machine, in its own words. */
  readonly component: string;
  readonly text: string;
}

export interface StoppageContent {
  readonly kind: 'stoppage';
  readonly from: Instant;
  readonly to: Instant | null;
  readonly extent: 'full' | 'reduced';
  readonly isPlanned: boolean;
}

/** Takes back the entry it amends. */
export interface WithdrawalContent {
  readonly kind: 'withdrawal';
  readonly reason: string;
}

export type EntryContent =
  | LaborContent
  | PartContent
  | ReadingContent
  | NoteContent
  | AnswerContent
  | AcknowledgementContent
  | HazardContent
  | PhotoContent
  | StateContent
  | FaultContent
  | StoppageContent
  | IsolationContent
  | WithdrawalContent;

export type EntryKind = EntryContent['kind'];

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

export type EntryOf<Kind extends EntryKind> = Entry & { readonly content: Extract<EntryContent, { kind: Kind }> };

export function isEntryOf<Kind extends EntryKind>(entry: Entry, kind: Kind): entry is EntryOf<Kind> {
  return entry.content.kind === kind;
}

/** The entries that hold: those not amended by another, without the withdrawals themselves. */
export function standingEntries(entries: readonly Entry[]): Entry[] {
  const amended = new Set(entries.map((entry) => entry.amends));
  return entries.filter((entry) => !amended.has(entry.id) && entry.content.kind !== 'withdrawal');
}

/** Standing entries of one kind. */
export function standingOf<Kind extends EntryKind>(entries: readonly Entry[], kind: Kind): EntryOf<Kind>[] {
  return standingEntries(entries).filter((entry): entry is EntryOf<Kind> => isEntryOf(entry, kind));
}

/** All entries as the record shows them: newest first, ties by id. */
export function inTimeOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((a, b) => compare(b.at, a.at) || compare(b.id, a.id));
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
