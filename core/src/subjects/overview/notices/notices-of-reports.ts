import type { PersonId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import type { Incident } from '../../raising/incidents/incident';
import type { Person } from '../../plant/people/people';
import { isReporterOf, type Report, type ReportEvent } from '../../raising/reports/report';
import type { NoticeFact, ReportBecame } from '../../orders/work/notice-fact';
import type { Notice, NoticeKind } from './notices';

/** The longest title of a notice, in characters. */
const LONGEST_TITLE = 120;

interface About {
  readonly number: string;
  readonly title: string;
  readonly reportId?: Report['id'];
  readonly incidentId?: Incident['id'];
}

function noticeAbout(
  personId: PersonId,
  kind: NoticeKind,
  about: About,
  facts: readonly NoticeFact[],
  at: Instant,
): Notice {
  const id = `${personId}@${kind}@${about.reportId ?? about.incidentId ?? ''}`;
  return { id, personId, kind, workOrderId: null, ...about, facts, at, seenAt: null };
}

/** Words as a notice has room for them. */
export const shortened = (words: string): string =>
  words.length <= LONGEST_TITLE ? words : `${words.slice(0, LONGEST_TITLE - 1)}…`;

/**
 * Whom a change of a report concerns: leads hear of a new one and of what its reporter adds; whoever reported it, first or later,
 * of every answer; whoever is sent to look. Nobody is told of their own doing.
 *
 * @param by who did it; null for somebody without an account
 */
export function noticesOfReport(
  before: Report | undefined,
  after: Report,
  by: PersonId | null,
  people: readonly Person[],
  now: Instant,
): Notice[] {
  const about = { number: after.number, title: shortened(after.words), reportId: after.id };
  const ofSite = people.filter(({ siteIds }) => siteIds.includes(after.siteId));
  const leads = ofSite.filter((person) => hasRole(person, ['lead']));
  const reporters = ofSite.filter(({ id }) => isReporterOf(after, id));
  const told = new Map<string, Notice>();
  const tell = (those: readonly Person[], kind: NoticeKind, fact: NoticeFact): void => {
    for (const { id } of those) {
      const notice = noticeAbout(id, kind, about, [fact], now);
      if (id !== by) told.set(notice.id, notice);
    }
  };
  const isNew = before === undefined;
  if (isNew && after.state === 'waiting') tell(leads, 'reported', { is: 'report', became: 'new', words: '' });
  const fresh = after.events.filter((event) => isNew || !before.events.some(({ id }) => id === event.id));
  for (const event of fresh) {
    const fact: NoticeFact = { is: 'report', ...becameOf(event) };
    if (event.is === 'said')
      tell(event.isReporter ? leads : reporters, event.isReporter ? 'reported' : 'answered', fact);
    else if (event.is !== 'machine') tell(reporters, 'answered', fact);
    if (event.is === 'look')
      tell(
        ofSite.filter(({ id }) => id === event.personId),
        'look',
        fact,
      );
    if (event.is === 'confirmed' || event.is === 'dropped') tell(leads, 'reported', fact);
  }
  return [...told.values()];
}

function becameOf(event: ReportEvent): { readonly became: ReportBecame; readonly words: string } {
  switch (event.is) {
    case 'said':
    case 'asked':
    case 'confirmed':
      return { became: event.is, words: shortened(event.words) };
    case 'declined':
      return { became: 'declined', words: shortened(event.reason) };
    case 'taken':
      return { became: event.isJoined ? 'joined' : 'taken', words: event.number };
    case 'solved':
    case 'reopened':
    case 'dropped':
      return { became: event.is, words: event.number };
    case 'look':
    case 'machine':
      return { became: 'look', words: '' };
  }
}

/** Whoever may read an incident hears of it, and of what was added. */
export function noticesOfIncident(before: Incident | undefined, after: Incident, by: PersonId, now: Instant): Notice[] {
  const about = { number: after.number, title: shortened(after.words), incidentId: after.id };
  const isMore =
    after.notes.length > (before?.notes.length ?? 0) || before?.readerIds.length !== after.readerIds.length;
  if (!isMore) return [];
  return after.readerIds
    .filter((id) => id !== by)
    .map((id) => noticeAbout(id, 'reported', about, [{ is: 'incident', kind: after.kind }], now));
}
