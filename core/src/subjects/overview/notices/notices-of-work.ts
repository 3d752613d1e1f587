import type { PersonId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import type { Crew, Person } from '../../plant/people/people';
import { isLate } from '../../finishing/shift/shift-order';
import { peopleOn, type Given } from '../../orders/work/assignment';
import type { Entry } from '../../orders/work/entries';
import { anyEntryKind, type EntryKindSet } from '../../orders/work/entry-kinds';
import type { NoticeFact } from '../../orders/work/notice-fact';
import { isOpen } from '../../orders/work/states';
import { waitsForGoAhead } from '../../orders/work/waits-for-go-ahead';
import type { WorkOrder } from '../../orders/work/work-order';
import type { Notice, NoticeKind } from './notices';

/** Crews and people, by whom it is found who is told. */
export interface Everybody {
  readonly crews: readonly Crew[];
  readonly people: readonly Person[];
}

/**
 * Everybody who has a work order: people by name, and the members of its crew. Who does not have its site has nothing to do
 * with it, and hears nothing of it.
 */
function peopleWith(work: Given & { readonly siteId: SiteId }, { crews, people }: Everybody): PersonId[] {
  const crew = crews.find(({ id }) => id === work.crewId);
  const ofSite = new Set(people.filter(({ siteIds }) => siteIds.includes(work.siteId)).map(({ id }) => id));
  return [...new Set([...peopleOn(work), ...(crew?.memberIds ?? [])])].filter((id) => ofSite.has(id));
}

function notice(
  personId: PersonId,
  kind: NoticeKind,
  work: Pick<WorkOrder, 'id' | 'number' | 'title'>,
  facts: readonly NoticeFact[],
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
    facts,
    at,
    seenAt: null,
  };
}

/** What somebody did to a work order. */
export interface WorkChange {
  readonly before: WorkOrder | undefined;
  readonly after: WorkOrder;
  /** What was recorded on it beside. */
  readonly entries: readonly Entry[];
  /** Who did it: nobody is told of their own doing. */
  readonly by: PersonId;
}

/**
 * Whom a change concerns, each told once: what was recorded in one's name before given to me before handed back before
 * one's time that is missing before finished before changed.
 */
export function noticesAfter(
  kinds: EntryKindSet,
  { before, after, entries, by }: WorkChange,
  everybody: Everybody,
  followers: readonly PersonId[],
  now: Instant,
): Notice[] {
  const told = new Map<PersonId, Notice>();
  const tell = (person: PersonId, kind: NoticeKind, facts: readonly NoticeFact[] = []): void => {
    if (person !== by && !told.has(person)) told.set(person, notice(person, kind, after, facts, now));
  };
  for (const [person, facts] of factsInTheNameOf(kinds, after, entries, everybody)) tell(person, 'forYou', facts);
  for (const entry of entries) {
    const given = anyEntryKind(kinds, entry.content.kind)?.gives?.(entry) ?? null;
    if (given !== null && peopleWith(after, everybody).includes(given.personId))
      tell(given.personId, 'given', [given.fact]);
  }
  const had = before === undefined ? [] : peopleWith(before, everybody);
  for (const person of peopleWith(after, everybody))
    if (isOpen(after.state) && !had.includes(person)) tell(person, 'given');
  const { handedBack } = after;
  if (handedBack !== null && before?.handedBack?.since !== handedBack.since) {
    for (const person of peopleWith(after, everybody))
      tell(person, 'handedBack', [{ is: 'reason', reason: handedBack.reason }]);
  }
  const owing = after.timeOwedBy?.filter((person) => before?.timeOwedBy?.includes(person) !== true) ?? [];
  for (const person of owing)
    if (peopleWith(after, everybody).includes(person)) tell(person, 'timeOwed', [{ is: 'timeMissing' }]);
  const ofSite = everybody.people.filter(({ siteIds }) => siteIds.includes(after.siteId));
  if (after.state === 'finished' && before?.state !== 'finished') {
    for (const person of ofSite) if (hasRole(person, ['lead'])) tell(person.id, 'finished');
  }
  const forTheStore = entries.flatMap((entry) => anyEntryKind(kinds, entry.content.kind)?.tellsStore?.(entry) ?? []);
  if (forTheStore.length > 0)
    for (const person of ofSite) if (hasRole(person, ['storekeeper'])) tell(person.id, 'count', forTheStore);
  const postponed = factsOfPostponing(before, after, entries);
  const isByLead = everybody.people.some((person) => person.id === by && hasRole(person, ['lead']));
  if (postponed.length > 0 && !isByLead)
    for (const person of ofSite) if (hasRole(person, ['lead'])) tell(person.id, 'postponed', postponed);
  const facts = factsOfChange(kinds, before, after, entries);
  if (waitsForGoAhead(after) && (before === undefined || !waitsForGoAhead(before)))
    for (const person of ofSite) if (hasRole(person, ['lead'])) tell(person.id, 'goAhead');
  const isLetStart = before !== undefined && waitsForGoAhead(before) && after.goAhead?.givenBy != null;
  if (isLetStart) for (const person of peopleWith(after, everybody)) tell(person, 'mayStart');
  const mayKnow = new Set(ofSite.map(({ id }) => id));
  // Whoever has work that will not be done after all hears of it without following it.
  const isDropped = after.state === 'dropped' && before?.state !== 'dropped';
  const concerned = [...followers, ...(isDropped ? peopleWith(after, everybody) : [])];
  if (facts.length > 0) for (const person of concerned) if (mayKnow.has(person)) tell(person, 'changed', facts);
  return [...told.values()];
}

/** Whether somebody has to hear of an entry who does not follow its work: in whose name it was made, or the store. */
export function concernsOthers(kinds: EntryKindSet, entry: Entry): boolean {
  const kind = anyEntryKind(kinds, entry.content.kind);
  const inNameOf = kind?.inNameOf?.(entry, { isolation: [] }, () => '') ?? null;
  return inNameOf !== null || (kind?.tellsStore?.(entry) ?? null) !== null;
}

/** What others did in somebody's name: a clock stopped, a lock taken off. */
function factsInTheNameOf(
  kinds: EntryKindSet,
  work: WorkOrder,
  entries: readonly Entry[],
  { people }: Everybody,
): ReadonlyMap<PersonId, readonly NoticeFact[]> {
  const facts = new Map<PersonId, NoticeFact[]>();
  const nameOf = (person: PersonId): string => people.find(({ id }) => id === person)?.name ?? '';
  for (const entry of entries) {
    const done = anyEntryKind(kinds, entry.content.kind)?.inNameOf?.(entry, work, nameOf) ?? null;
    if (done !== null) facts.set(done.personId, [...(facts.get(done.personId) ?? []), done.fact]);
  }
  return facts;
}

/** That it is due later than it was, or not at all any more, or was put off; with what was said for it. */
function factsOfPostponing(before: WorkOrder | undefined, after: WorkOrder, entries: readonly Entry[]): NoticeFact[] {
  if (before === undefined || !isOpen(after.state)) return [];
  const isLater = before.dueAt !== null && (after.dueAt === null || after.dueAt > before.dueAt);
  const isPutOff = after.putOff != null && after.putOff.at !== before.putOff?.at;
  if (!isLater && !isPutOff) return [];
  const said = entries.flatMap(({ content }) =>
    content.kind === 'schedule' && content.reason !== '' ? [content.reason] : [],
  );
  return [
    ...(isLater ? [{ is: 'dueChanged' } as const] : []),
    ...said.map((reason) => ({ is: 'reason', reason }) as const),
  ];
}

function factsOfChange(
  kinds: EntryKindSet,
  before: WorkOrder | undefined,
  after: WorkOrder,
  entries: readonly Entry[],
): NoticeFact[] {
  const facts: NoticeFact[] = [];
  if (before === undefined) facts.push({ is: 'raised' });
  else if (before.state !== after.state) facts.push({ is: 'state', state: after.state });
  if (before !== undefined && before.hazards.length < after.hazards.length) facts.push({ is: 'hazardAdded' });
  if (before !== undefined && before.dueAt !== after.dueAt) facts.push({ is: 'dueChanged' });
  const recorded = new Set(
    entries
      .map(({ content }) => content.kind)
      .filter((kind) => (anyEntryKind(kinds, kind)?.notificationText ?? null) !== null),
  );
  return [...facts, ...[...recorded].map((kind): NoticeFact => ({ is: 'recorded', kind }))];
}

/** For open work that became late since it was last looked at. */
export function noticesOfLate(
  works: readonly WorkOrder[],
  everybody: Everybody,
  lookedAt: Instant,
  now: Instant,
): Notice[] {
  return works
    .filter((work) => isLate(work, now) && work.dueAt !== null && work.dueAt >= lookedAt)
    .flatMap((work) => peopleWith(work, everybody).map((person) => notice(person, 'late', work, [], now)));
}

/** For work that is due in a time and for which parts are short; the storekeepers of its site hear of all of it. */
export function noticesOfShort(
  works: readonly WorkOrder[],
  everybody: Everybody,
  due: { readonly from: Instant; readonly to: Instant },
  shortOf: (work: WorkOrder) => readonly NoticeFact[],
  now: Instant,
): Notice[] {
  return works.flatMap((work) => {
    if (!isOpen(work.state) || work.dueAt === null || work.dueAt < due.from || work.dueAt >= due.to) return [];
    const short = shortOf(work);
    if (short.length === 0) return [];
    const storekeepers = everybody.people.filter(
      (person) => hasRole(person, ['storekeeper']) && person.siteIds.includes(work.siteId),
    );
    const people = new Set([...peopleWith(work, everybody), ...storekeepers.map(({ id }) => id)]);
    return [...people].map((person) => notice(person, 'short', work, short, now));
  });
}
