import type * as yup from 'yup';
import type { ReportId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  LONGEST_TEXT,
  oneLineField,
  optionalInstantField,
  optionalTextField,
} from '../../../kernel/schema/fields';
import type { Instant } from '../../../kernel/time/instant';
import { refuse, type Result } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { ReportLabel } from '../labels/report-label';
import { standingAsset } from '../../plant/plant/merged';
import type { Asset } from '../../plant/plant/plant';
import { rulesOf } from '../../orders/raise-rules/raise-rules';
import type { WorkOrder } from '../../orders/work/work-order';
import { findWorkToJoin, takenUp, withSaid } from '../reports/change-report';
import { findWhere, putReport } from '../reports/put-report';
import { isOpenReport, type Report, type ReportEvent, type ReportPhoto } from '../reports/report';
import { optionalConditionField, optionalFlagField, wordsField } from '../reports/report-fields';

/** What somebody without an account says with a report. */
export interface GuestReport extends Pick<Report, 'words' | 'condition' | 'danger' | 'since'> {
  readonly name: string;
  readonly reach: string;
}

export const guestReportSchema: yup.Schema<GuestReport> = argsSchema({
  words: wordsField(),
  condition: optionalConditionField(),
  danger: optionalFlagField(),
  since: optionalInstantField(),
  name: oneLineField(),
  reach: oneLineField(),
});

/** What they may add later. */
export const guestWordsSchema = argsSchema({ words: optionalTextField(LONGEST_TEXT) });

/** What is made, and when. */
export interface Making {
  readonly id: ReportId;
  readonly number: string;
  readonly at: Instant;
}

/** What a label leads to, for people without an account: a machine with its place, or a place alone. */
export interface LabelLeadsTo {
  readonly label: ReportLabel;
  /** Null for the label of a place. */
  readonly asset: Asset | null;
}

/** Why a label leads nobody anywhere: it is none, was withdrawn, its site takes no such reports, or its machine is not used any more. */
export type DeadLabel = 'unknown' | 'withdrawn' | 'closed' | 'retired';

/** What a label leads to, or why it leads nowhere. */
export async function whereLabelLeads(records: Records, key: string): Promise<LabelLeadsTo | DeadLabel> {
  const label = await records.get('reportLabels', key);
  if (label === undefined) return 'unknown';
  if (label.withdrawn !== null) return 'withdrawn';
  const { takesGuests } = rulesOf(label.siteId, await records.get('raiseRules', label.siteId));
  if (!takesGuests) return 'closed';
  if (label.assetId === null) return { label, asset: null };
  const asset = await standingAsset(records, label.assetId);
  if (asset === undefined) return 'unknown';
  return asset.retiredOn === undefined ? { label, asset } : 'retired';
}

/** What is known there and may be told to anybody: what open corrective work on the machine is called. */
export async function publiclyKnown(records: Records, { label, asset }: LabelLeadsTo): Promise<readonly WorkOrder[]> {
  const { publicKnowledge } = rulesOf(label.siteId, await records.get('raiseRules', label.siteId));
  if (publicKnowledge === 'nothing' || asset === null) return [];
  const works = await records.list('workOrders', 'asset', asset.id);
  return works.filter(({ kind, state }) => kind === 'corrective' && ['ready', 'underway', 'held'].includes(state));
}

/** Puts the report of somebody without an account. */
export async function putGuestReport(
  records: Records,
  { label, asset }: LabelLeadsTo,
  { name, reach, ...said }: GuestReport,
  { photo, ...making }: Making & { readonly photo: ReportPhoto | null },
): Promise<Result<Report>> {
  const at = { assetId: asset?.id ?? null, placeId: label.placeId };
  const where = await findWhere(records, at, [label.siteId]);
  if (!where.ok) return where;
  if (said.since !== null && said.since > making.at) return refuse('stoppage_in_future', {}, 'since');
  const guest = { name: name.trim(), reach: reach.trim() };
  return putReport(records, { ...said, ...at, ...making, photo, by: null, guest }, where.value);
}

/** Somebody without an account has the problem that public work is on: a report of theirs joins it. */
export async function putGuestMeToo(
  records: Records,
  there: LabelLeadsTo,
  workOrderId: WorkOrderId,
  making: Making,
): Promise<Result<Report>> {
  const known = await publiclyKnown(records, there);
  const work = known.find(({ id }) => id === workOrderId);
  if (work === undefined) return refuse('not_found', { what: 'problem' }, 'workOrderId');
  const nothingSaid = { condition: null, danger: null, since: null, name: '', reach: '' };
  const put = await putGuestReport(records, there, { ...nothingSaid, words: work.title }, { ...making, photo: null });
  if (!put.ok) return put;
  const open = await findWorkToJoin(records, put.value, workOrderId);
  if (!open.ok) return open;
  const { id, at } = making;
  const joined = takenUp(put.value, work, { isJoined: true, by: null, id, at });
  await records.put('reports', joined);
  return { ok: true, value: joined };
}

/** Its reporter without an account adds words or a photo. */
export async function putGuestWords(
  records: Records,
  reportId: ReportId,
  { words, photo }: { readonly words: string; readonly photo: ReportPhoto | null },
  { id, at }: { readonly id: string; readonly at: Instant },
): Promise<Result<Report>> {
  const report = await records.get('reports', reportId);
  if (report === undefined || report.by !== null) return refuse('not_found', { what: 'report' }, 'reportId');
  if (!isOpenReport(report)) return refuse('report_over', { number: report.number });
  if (words.trim() === '' && photo === null) return refuse('invalid', { reason: 'Write something first.' }, 'words');
  // What came twice, since its answer was lost on the way, was said once.
  if (report.events.some((event) => event.id === id)) return { ok: true, value: report };
  const said = { words, ...(photo === null ? {} : { photo }) };
  const longer = withSaid(report, said, { by: null, isReporter: true, id, at });
  if (longer.ok) await records.put('reports', longer.value);
  return longer;
}

/** One thing that became of a report, as anybody who follows it may be told: without people, and without what staff said among themselves. */
export type PublicEvent = { readonly at: Instant } & (
  | { readonly is: 'said' | 'asked' | 'declined'; readonly words: string }
  | { readonly is: 'look' | 'confirmed' | 'taken' | 'joined' | 'solved' | 'reopened' | 'dropped' }
);

/** What its reporter is told of a report. */
export function publicEventsOf({ events }: Pick<Report, 'events'>): PublicEvent[] {
  return events.flatMap((event) => publicEventOf(event) ?? []);
}

function publicEventOf(event: ReportEvent): PublicEvent | null {
  const { at } = event;
  switch (event.is) {
    case 'said':
      return event.isReporter ? { at, is: 'said', words: event.words } : null;
    case 'asked':
      return { at, is: 'asked', words: event.words };
    case 'declined':
      return { at, is: 'declined', words: event.reason };
    case 'taken':
      return { at, is: event.isJoined ? 'joined' : 'taken' };
    case 'machine':
      return null;
    default:
      return { at, is: event.is };
  }
}

/** An address for mail among what somebody gave to be reached by; null where there is none. */
export function mailAddressIn({ reach }: { readonly reach: string }): string | null {
  return /[A-Za-z0-9._%+'-]{1,64}@(?:[A-Za-z0-9-]{1,63}\.){1,8}[A-Za-z]{2,24}/.exec(reach)?.[0] ?? null;
}
