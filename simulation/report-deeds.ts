import { addMinutes, type Instant } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { rulesOf } from '@oilcan/core/orders/raise-rules';
import type { MemoryRecords } from '@oilcan/core/records';
import { assetId, aRaise, aReporting, anIncidentReport, site } from '@oilcan/core/testing';
import { fileIdOf } from './deed-parts';
import type { Deed } from './deeds';

/** What can be done about reports, incidents and go-ahead, each as often as it is named. */
export const deedsOfReports = [
  'report',
  'report',
  'report',
  'me too',
  'me too on work',
  'say more of a report',
  'ask back',
  'send to look',
  'confirm',
  'decline a report',
  'join a report',
  'take up reports',
  'take up reports',
  'name the machine',
  'let start',
  'change how reports are taken',
  'incident',
  'more of an incident',
  'say more of an incident',
] as const;

/** What such a deed means to this person, looking at their own phone; null when there is nothing to do it to, undefined for another deed. */
export function reportDeedOf(
  what: string,
  choice: number,
  view: MemoryRecords,
  person: Person,
  now: Instant,
): Deed | null | undefined {
  const reports = view.peekAll('reports');
  const report = reports[choice % Math.max(1, reports.length)];
  const work = view.peekAll('workOrders')[choice % Math.max(1, view.peekAll('workOrders').length)];
  const words = `Said ${choice}`;
  const about = <D extends Deed>(deed: (reportId: NonNullable<typeof report>['id']) => D): D | null =>
    report === undefined ? null : deed(report.id);
  switch (what) {
    case 'report': {
      const how = { danger: choice % 4 === 0, condition: choice % 3 === 0 ? 'stopped' : null } as const;
      const since = choice % 5 === 0 ? addMinutes(now, -30) : null;
      return { name: 'report.make', args: aReporting({ words, ...how, since }) };
    }
    case 'me too':
      return about((reportId) => ({ name: 'report.me-too', args: { reportId } }));
    case 'me too on work':
      return work === undefined
        ? null
        : { name: 'report.me-too-on-work', args: { number: null, workOrderId: work.id } };
    case 'say more of a report':
      return about((reportId) => ({ name: 'report.say', args: { reportId, words, photo: null } }));
    case 'ask back':
      return about((reportId) => ({ name: 'report.ask', args: { reportId, words } }));
    case 'send to look':
      return about((reportId) => ({ name: 'report.send-to-look', args: { reportId, personId: person.id } }));
    case 'confirm':
      return about((reportId) => ({ name: 'report.confirm', args: { reportId, words: '' } }));
    case 'decline a report':
      return about((reportId) => ({ name: 'report.decline', args: { reportId, reason: words } }));
    case 'join a report':
      return work === undefined
        ? null
        : about((reportId) => ({ name: 'report.join', args: { reportId, workOrderId: work.id } }));
    case 'take up reports': {
      const waiting = reports.filter(({ state }) => state === 'waiting').slice(0, 1 + (choice % 2));
      if (waiting.length === 0) return null;
      const reportIds = waiting.map(({ id }) => id);
      return { name: 'work.raise', args: aRaise({ title: words, personIds: [], reportIds }) };
    }
    case 'name the machine':
      return about((reportId) => ({ name: 'report.name-machine', args: { reportId, assetId } }));
    case 'let start':
      return work === undefined ? null : { name: 'work.let-start', args: { workOrderIds: [work.id] } };
    case 'change how reports are taken': {
      const { id: _, ...rules } = rulesOf(site, undefined);
      const kinds = choice % 3 === 0 ? (['corrective'] as const) : [];
      const goAhead = { kinds, aboveMinor: choice % 4 === 0 ? 5_000 : null, minorPerHour: 6_000 };
      return { name: 'raise-rules.set', args: { ...rules, goAhead, technicianTakesUp: choice % 2 === 0 } };
    }
    case 'incident':
      return {
        name: 'incident.make',
        args: anIncidentReport({ words, happenedAt: addMinutes(now, -20), presentIds: [person.id] }),
      };
    case 'more of an incident': {
      const [incident] = view.peekAll('incidents');
      if (incident === undefined) return null;
      const args = { incidentId: incident.id, words, photo: null, closes: choice % 3 === 0 };
      return { name: 'incident.add', args };
    }
    case 'say more of an incident': {
      const [incident] = view.peekAll('incidents');
      if (incident === undefined) return null;
      const voice = { fileId: fileIdOf(choice), mediaType: 'audio/webm', seconds: 4 } as const;
      return { name: 'incident.say-aloud', args: { incidentId: incident.id, voice } };
    }
    default:
      return undefined;
  }
}
