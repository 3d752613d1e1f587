import type { CrewId, PersonId, WorkOrderId } from '../ids/ids';
import type { Crew } from '../people/people';
import { isLate } from '../planning/shift-order';
import { addMinutes, type Instant } from '../time/instant';
import { isOpen } from '../work/states';
import type { WorkOrder } from '../work/work-order';

/** What a person is told of. */
export const noticeKinds = ['given', 'late', 'handedBack', 'changed', 'short'] as const;
export type NoticeKind = (typeof noticeKinds)[number];

/** How: in the list of notices always; by mail and by the phone's own notifications when chosen. */
export const noticeWays = ['mail', 'push'] as const;
export type NoticeWay = (typeof noticeWays)[number];

/** One thing that a person is told. About one work order and of one kind there is one; it is renewed until it was seen. */
export interface Notice {
  /** `personId@kind@workOrderId`. */
  readonly id: string;
  readonly personId: PersonId;
  readonly kind: NoticeKind;
  readonly workOrderId: WorkOrderId;
  /** Of the work order, as they were then. */
  readonly number: string;
  readonly title: string;
  /** What changed, why it came back, what is short; empty for nothing more. */
  readonly detail: string;
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
  return chosen ?? { id: personId, personId, silent: [], mail: [], push: ['given', 'handedBack'] };
}

export function followId(personId: PersonId, workOrderId: WorkOrderId): string {
  return `${personId}@${workOrderId}`;
}

/** Everybody who has a work order: people by name, and the members of its crew. */
export function peopleWith(
  work: { readonly personIds: readonly PersonId[]; readonly crewId: CrewId | null },
  crews: readonly Crew[],
): PersonId[] {
  const crew = crews.find(({ id }) => id === work.crewId);
  return [...new Set([...work.personIds, ...(crew?.memberIds ?? [])])];
}

function notice(
  personId: PersonId,
  kind: NoticeKind,
  work: Pick<WorkOrder, 'id' | 'number' | 'title'>,
  detail: string,
  at: Instant,
): Notice {
  const { id: workOrderId, number, title } = work;
  return {
    id: `${personId}@${kind}@${workOrderId}`,
    personId,
    kind,
    workOrderId,
    number,
    title,
    detail,
    at,
    seenAt: null,
  };
}

/** What somebody did to a work order. */
export interface WorkChange {
  readonly before: WorkOrder | undefined;
  readonly after: WorkOrder;
  /** What was recorded on it beside, in words such as “a note”. */
  readonly recorded: readonly string[];
  /** Who did it: nobody is told of their own doing. */
  readonly by: PersonId;
}

/** Whom a change concerns, each told once: given to me before handed back before changed. */
export function noticesOfChange(
  { before, after, recorded, by }: WorkChange,
  crews: readonly Crew[],
  followers: readonly PersonId[],
  now: Instant,
): Notice[] {
  const told = new Map<PersonId, Notice>();
  const tell = (person: PersonId, kind: NoticeKind, detail: string): void => {
    if (person !== by && !told.has(person)) told.set(person, notice(person, kind, after, detail, now));
  };
  const had = before === undefined ? [] : peopleWith(before, crews);
  for (const person of peopleWith(after, crews))
    if (isOpen(after.state) && !had.includes(person)) tell(person, 'given', '');
  const isBack = after.handedBack !== null && before?.handedBack?.since !== after.handedBack.since;
  if (isBack) for (const person of peopleWith(after, crews)) tell(person, 'handedBack', after.handedBack?.reason ?? '');
  const detail = changeDetail(before, after, recorded);
  if (detail !== '') for (const person of followers) tell(person, 'changed', detail);
  return [...told.values()];
}

function changeDetail(before: WorkOrder | undefined, after: WorkOrder, recorded: readonly string[]): string {
  const changes: string[] = [];
  if (before !== undefined && before.state !== after.state) changes.push(`now ${after.state}`);
  if (before !== undefined && before.hazards.length < after.hazards.length) changes.push('a hazard was added');
  if (before !== undefined && before.dueAt !== after.dueAt) changes.push('due at another time');
  return [...changes, ...new Set(recorded)].join(', ');
}

/** For open work that became late since it was last looked at. */
export function noticesOfLate(
  works: readonly WorkOrder[],
  crews: readonly Crew[],
  lookedAt: Instant,
  now: Instant,
): Notice[] {
  return works
    .filter((work) => isLate(work, now) && work.dueAt !== null && work.dueAt >= lookedAt)
    .flatMap((work) => peopleWith(work, crews).map((person) => notice(person, 'late', work, '', now)));
}

/** For work that is due in a time and for which parts are short; storekeepers hear of all of it. */
export function noticesOfShort(
  works: readonly WorkOrder[],
  crews: readonly Crew[],
  storekeepers: readonly PersonId[],
  due: { readonly from: Instant; readonly to: Instant },
  shortOf: (work: WorkOrder) => readonly string[],
  now: Instant,
): Notice[] {
  return works.flatMap((work) => {
    if (!isOpen(work.state) || work.dueAt === null || work.dueAt < due.from || work.dueAt >= due.to) return [];
    const short = shortOf(work);
    if (short.length === 0) return [];
    const people = new Set([...peopleWith(work, crews), ...storekeepers]);
    return [...people].map((person) => notice(person, 'short', work, short.join(', '), now));
  });
}
