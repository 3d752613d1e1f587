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
import type { Instant } from '../time/instant';
import type { IsolationContent } from './isolation';
import type { StepAnswer } from './steps';
import type { WorkState } from './work-order';

export const timeTypes = ['regular', 'overtime', 'travel'] as const;
export type TimeType = (typeof timeTypes)[number];

/** Somebody's time. Its cost is fixed when it is recorded, so that a later rate does not rewrite the past. */
export interface LaborContent {
  readonly kind: 'labor';
  readonly personId: PersonId;
  readonly startedAt: Instant;
  readonly minutes: number;
  readonly timeType: TimeType;
  readonly cost: Money;
}

/** A part used (quantity above zero). */
export interface PartContent {
  readonly kind: 'part';
  readonly partId: PartId;
  readonly binId: BinId;
  readonly quantity: Thousandths;
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
  readonly precaution: string;
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
