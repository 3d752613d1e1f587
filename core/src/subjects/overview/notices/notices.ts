import type { AssetId, IncidentId, PersonId, ReportId, RequestId, TransferId, WorkOrderId } from '../../../kernel/ids';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import type { NoticeFact } from '../../orders/work/notice-fact';

/**
 * What a person is told of: `finished`, `reported`, `goAhead` and `postponed` are for leads, who accept work, answer reports, let raised work
 * start, and hear what others move to later; `asked` is for storekeepers, `fromStore` is what became of what one asked a store for; `forYou` is what somebody recorded in one's name; `answered` is what became of one's own report.
 */
export const noticeKinds = [
  'given',
  'late',
  'handedBack',
  'changed',
  'short',
  'count',
  'finished',
  'forYou',
  'timeOwed',
  'reported',
  'answered',
  'look',
  'goAhead',
  'mayStart',
  'postponed',
  'asked',
  'fromStore',
] as const;
export type NoticeKind = (typeof noticeKinds)[number];

/** One thing that a person is told. About one thing and of one kind there is one; it is renewed until it was seen. */
export interface Notice {
  /** `personId@kind@` and the id of what it is about. */
  readonly id: string;
  readonly personId: PersonId;
  readonly kind: NoticeKind;
  /** The work order that it is about; null where it is about a report, an incident, or what a storekeeper is asked for. */
  readonly workOrderId: WorkOrderId | null;
  readonly reportId?: ReportId;
  readonly incidentId?: IncidentId;
  readonly requestId?: RequestId;
  readonly transferId?: TransferId;
  /** Of what it is about, as they were then. */
  readonly number: string;
  readonly title: string;
  /** What changed, why it came back, what is short; none for nothing more. */
  readonly facts: readonly NoticeFact[];
  readonly at: Instant;
  readonly seenAt: Instant | null;
}

const DAY_MINUTES = 24 * 60;
/** A notice leaves so long after it was seen; one that nobody looked at, so long after it came. */
const SEEN_DAYS = 14;
const UNSEEN_DAYS = 60;

/** Whether a notice is still kept: the server and the phones let go of it by the same rule, each by itself. */
export function isNoticeKept({ at, seenAt }: Pick<Notice, 'at' | 'seenAt'>, now: Instant): boolean {
  return seenAt === null
    ? at > addMinutes(now, -UNSEEN_DAYS * DAY_MINUTES)
    : seenAt > addMinutes(now, -SEEN_DAYS * DAY_MINUTES);
}

/** That a person wants to hear of a work order that may not be theirs. */
export interface Follow {
  /** `personId@workOrderId`. */
  readonly id: string;
  readonly personId: PersonId;
  readonly workOrderId: WorkOrderId;
}

/** That a person wants to hear of all work on a machine, and on what is part of it, without following each job. */
export interface AssetFollow {
  /** `personId@assetId`. */
  readonly id: string;
  readonly personId: PersonId;
  readonly assetId: AssetId;
}

/** What a person chose to be told, and how. */
export interface NoticeChoice {
  /** The person's. */
  readonly id: PersonId;
  readonly personId: PersonId;
  /** Kinds that are not wanted at all. */
  readonly silent: readonly NoticeKind[];
  readonly mail: readonly NoticeKind[];
  readonly push: readonly NoticeKind[];
}

/** Before anybody chose: everything in the list, what is urgent also on the phone, nothing by mail. */
export function noticeChoiceOf(personId: PersonId, chosen: NoticeChoice | undefined): NoticeChoice {
  return (
    chosen ?? {
      id: personId,
      personId,
      silent: [],
      mail: [],
      push: ['given', 'handedBack', 'forYou', 'look', 'fromStore'],
    }
  );
}

export function followId(personId: PersonId, followed: WorkOrderId | AssetId): string {
  return `${personId}@${followed}`;
}
