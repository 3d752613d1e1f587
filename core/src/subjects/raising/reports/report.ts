import type { AssetId, FileId, PersonId, PlaceId, ReportId, SiteId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { PictureType, SoundType } from '../../plant/files/files';
import type { AssetCondition } from '../../plant/plant/plant';
import type { Urgency } from '../../orders/work/work-order';

/**
 * How a report stands: nobody has answered it, its reporter was asked something, there is work on it, that work is done, or it was
 * declined.
 */
export const reportStates = ['waiting', 'asked', 'taken', 'solved', 'declined'] as const;
export type ReportState = (typeof reportStates)[number];

/** A picture with a report. */
export interface ReportPhoto {
  readonly fileId: FileId;
  readonly mediaType: PictureType;
  /** Size in pixels. */
  readonly width: number;
  readonly height: number;
}

/** What was said instead of typed. */
export interface ReportVoice {
  readonly fileId: FileId;
  readonly mediaType: SoundType;
  /** Whole seconds. */
  readonly seconds: number;
}

/** What somebody added to a report: words, a photo, their voice. */
export interface Said {
  readonly words: string;
  readonly photo?: ReportPhoto;
  readonly voice?: ReportVoice;
}

/** Something that became of a report, oldest first in it. */
export type ReportEvent = { readonly id: string; readonly at: Instant } & (
  | ({ readonly is: 'said'; readonly by: PersonId | null; readonly isReporter: boolean } & Said)
  | { readonly is: 'asked'; readonly by: PersonId; readonly words: string }
  | { readonly is: 'look'; readonly by: PersonId; readonly personId: PersonId }
  | { readonly is: 'confirmed'; readonly by: PersonId; readonly words: string }
  | { readonly is: 'machine'; readonly by: PersonId; readonly assetId: AssetId }
  | {
      readonly is: 'taken';
      /** Null where somebody without an account said that it is their problem too. */
      readonly by: PersonId | null;
      readonly workOrderId: WorkOrderId;
      readonly number: string;
      /** Whether that work was there before. */
      readonly isJoined: boolean;
    }
  | { readonly is: 'declined'; readonly by: PersonId; readonly reason: string }
  /** The work on it was done, was handed back, or was dropped. */
  | { readonly is: 'solved' | 'reopened' | 'dropped'; readonly number: string }
);

/** Somebody without an account, as far as they said who they are. */
export interface Guest {
  /** Empty where they did not say. */
  readonly name: string;
  /** A telephone number or an address for mail; empty where they did not say. */
  readonly reach: string;
}

/** Of whom nothing is known, or no more. */
export const nobodyKnown: Guest = { name: '', reach: '' };

/** For so many days after a report ended it is known who sent it without an account, and how to reach them. */
export const GUEST_KEPT_DAYS = 90;

/** A problem that somebody reported. */
export interface Report {
  readonly id: ReportId;
  /** `P-311`. */
  readonly number: string;
  readonly siteId: SiteId;
  /** The machine; null while only the place is known. */
  readonly assetId: AssetId | null;
  readonly placeId: PlaceId;
  /** What is wrong. */
  readonly words: string;
  /** Whether the machine runs; null where the reporter did not say. */
  readonly condition: AssetCondition | null;
  /** Whether somebody is in danger; null where the reporter did not say. */
  readonly danger: boolean | null;
  /** Since when it is so; null where the reporter did not say. */
  readonly since: Instant | null;
  readonly urgency: Urgency;
  readonly photo: ReportPhoto | null;
  /** Who reported it; null for somebody without an account. */
  readonly by: PersonId | null;
  readonly guest: Guest | null;
  readonly at: Instant;
  readonly state: ReportState;
  /** The work on it; null for none. */
  readonly workOrderId: WorkOrderId | null;
  /** Who else reported the same; null for somebody without an account. */
  readonly others: readonly { readonly personId: PersonId | null; readonly at: Instant }[];
  /** Who was sent to look, until they have. */
  readonly looking: PersonId | null;
  /** When somebody first answered: asked, sent somebody, took it up or declined it. */
  readonly answeredAt: Instant | null;
  /** When it came to be known that it was solved or declined; null while it is open. */
  readonly endedAt: Instant | null;
  readonly events: readonly ReportEvent[];
}

/** So much is kept with one report: enough for any, and no more. */
export const MOST_EVENTS = 200;
/** So often somebody without an account adds to one report. */
export const MOST_GUEST_WORDS = 20;
/** So many may say that they have the same problem. */
export const MOST_OTHERS = 1_000;

export function isOpenReport({ state }: Pick<Report, 'state'>): boolean {
  return state !== 'solved' && state !== 'declined';
}

/** Whether somebody still has to answer it. */
export function waitsForAnswer({ state }: Pick<Report, 'state'>): boolean {
  return state === 'waiting';
}

/** How many people reported it. */
export function reportedBy({ others }: Pick<Report, 'others'>): number {
  return 1 + others.length;
}

/** Whether somebody with an account reported it, first or later. */
export function isReporterOf({ by, others }: Pick<Report, 'by' | 'others'>, personId: PersonId): boolean {
  return by === personId || others.some((other) => other.personId === personId);
}

/** All pictures of a report, the first one first. */
export function photosOf({ photo, events }: Pick<Report, 'photo' | 'events'>): ReportPhoto[] {
  const later = events.flatMap((event) => (event.is === 'said' && event.photo !== undefined ? [event.photo] : []));
  return photo === null ? later : [photo, ...later];
}

/** All files of a report. */
export function filesOf(report: Pick<Report, 'photo' | 'events'>): FileId[] {
  const voices = report.events.flatMap((event) =>
    event.is === 'said' && event.voice !== undefined ? [event.voice] : [],
  );
  return [...photosOf(report), ...voices].map(({ fileId }) => fileId);
}

/**
 * How soon a report is to be answered: at once where somebody is in danger, in this shift where a machine stands still or one that
 * stops the mountain runs reduced, else this week. Common practice; a lead may see it otherwise.
 */
export function urgencyOfReport(
  { condition, danger }: Pick<Report, 'condition' | 'danger'>,
  criticality: number | null,
): Urgency {
  if (danger === true) return 'now';
  const isCritical = criticality === 1;
  if (condition === 'stopped') return isCritical ? 'now' : 'shift';
  return condition === 'reduced' && isCritical ? 'shift' : 'week';
}

/** What is said of a report when it is made. */
export type ReportToMake = Pick<
  Report,
  | 'id'
  | 'number'
  | 'siteId'
  | 'assetId'
  | 'placeId'
  | 'words'
  | 'condition'
  | 'danger'
  | 'since'
  | 'urgency'
  | 'photo'
  | 'by'
  | 'guest'
  | 'at'
>;

/** A report that nobody has answered. */
export function newReport(said: ReportToMake): Report {
  return {
    ...said,
    state: 'waiting',
    workOrderId: null,
    others: [],
    looking: null,
    answeredAt: null,
    endedAt: null,
    events: [],
  };
}
