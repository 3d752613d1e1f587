import { asId, type IncidentId, type PlaceId, type ReportId } from '../kernel/ids';
import type { ArgsOf } from '../registry/operations';
import type { Incident } from '../subjects/raising/incidents/incident';
import type { ReportLabel } from '../subjects/raising/labels/report-label';
import { rulesOf, type RaiseRules } from '../subjects/orders/raise-rules/raise-rules';
import { newReport, type Report } from '../subjects/raising/reports/report';
import { anAsset, ann, assetId, noon, site } from './builders';

export const reportId = asId<ReportId>('p-1');

/** A report that waits for an answer: complete, of which a test names what it is about. */
export const aReport = (given: Partial<Report> = {}): Report => ({
  ...newReport({
    id: reportId,
    number: 'P-1',
    siteId: site,
    assetId,
    placeId: anAsset().placeId,
    words: 'Drips oil on the floor',
    condition: null,
    danger: null,
    since: null,
    urgency: 'week',
    photo: null,
    by: ann.id,
    guest: null,
    at: noon,
  }),
  ...given,
});

/** What reports a problem on the machine. */
export const aReporting = (given: Partial<ArgsOf<'report.make'>> = {}): ArgsOf<'report.make'> => ({
  number: null,
  assetId,
  placeId: null,
  words: 'Drips oil on the floor',
  condition: null,
  danger: null,
  since: null,
  photo: null,
  ...given,
});

/** What reports a near miss on the machine. */
export const anIncidentReport = (given: Partial<ArgsOf<'incident.make'>> = {}): ArgsOf<'incident.make'> => ({
  number: null,
  kind: 'nearMiss',
  assetId,
  placeId: null,
  words: 'A bolt fell beside somebody',
  happenedAt: noon,
  causes: [],
  presentIds: [],
  presentOthers: '',
  doneAtOnce: '',
  photo: null,
  signature: null,
  ...given,
});

/** A near miss that nobody has closed. */
export const anIncident = (given: Partial<Incident> = {}): Incident => ({
  id: asId<IncidentId>('incident'),
  number: 'P-2',
  siteId: site,
  kind: 'nearMiss',
  assetId,
  placeId: anAsset().placeId,
  words: 'A bolt fell beside somebody',
  happenedAt: noon,
  causes: [],
  presentIds: [],
  presentOthers: '',
  doneAtOnce: '',
  photo: null,
  signature: null,
  by: ann.id,
  at: noon,
  readerIds: [ann.id],
  notes: [],
  closed: null,
  ...given,
});

/** A label by which everybody may report on the machine. */
export const aReportLabel = (given: Partial<ReportLabel> = {}): ReportLabel => ({
  id: 'K7M2PQ9RT4VWX3YZ1ABC',
  siteId: site,
  assetId,
  placeId: anAsset().placeId,
  by: ann.id,
  at: noon,
  withdrawn: null,
  ...given,
});

/** The rules of the site, as nobody chose them, but for what a test names. */
export const someRules = (given: Partial<RaiseRules> = {}): RaiseRules => ({ ...rulesOf(site, undefined), ...given });

export const somePlace = { id: asId<PlaceId>('place'), siteId: site, parentId: null, name: 'Pump house' };
