import type { AssetId, PersonId, ReportId, WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import { accepted, refuse, type Result, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { rulesOf } from '../../orders/raise-rules/raise-rules';
import type { WorkOrder } from '../../orders/work/work-order';
import {
  isOpenReport,
  MOST_EVENTS,
  MOST_GUEST_WORDS,
  MOST_OTHERS,
  type Report,
  type ReportEvent,
  type Said,
} from './report';

/** The report, if it is on a site of the person. */
async function findReport(records: Records, id: ReportId, { person }: OperationContext): Promise<Result<Report>> {
  const report = await records.get('reports', id);
  if (report === undefined || !person.siteIds.includes(report.siteId))
    return refuse('not_found', { what: 'report' }, 'reportId');
  return { ok: true, value: report };
}

/** As `findReport`, if it is open. */
export async function findOpenReport(
  records: Records,
  id: ReportId,
  context: OperationContext,
): Promise<Result<Report>> {
  const found = await findReport(records, id, context);
  if (!found.ok || isOpenReport(found.value)) return found;
  return refuse('report_over', { number: found.value.number }, 'reportId');
}

/** As `findReport`, if it waits for an answer or for its reporter, and the person may answer it. */
export async function findToAnswer(records: Records, id: ReportId, context: OperationContext): Promise<Result<Report>> {
  const found = await findReport(records, id, context);
  if (!found.ok) return found;
  const { number, state, siteId } = found.value;
  const rules = rulesOf(siteId, await records.get('raiseRules', siteId));
  if (!hasRole(context.person, ['lead']) && !rules.technicianTakesUp) return refuse('not_yours_to_answer');
  return state === 'waiting' || state === 'asked' ? found : refuse('report_answered', { number }, 'reportId');
}

type NewEvent = ReportEvent extends infer E ? (E extends ReportEvent ? Omit<E, 'id' | 'at'> : never) : never;

/** The report with one thing more that became of it. */
export function withEvent(report: Report, event: NewEvent, id: string, at: Instant): Report {
  return { ...report, events: [...report.events, { ...event, id, at } as ReportEvent] };
}

/** That somebody answers it, which is noted the first time. */
export function answered(report: Report, at: Instant): Report {
  return { ...report, answeredAt: report.answeredAt ?? at };
}

/** There is work on it from now on. */
export function takenUp(
  report: Report,
  work: Pick<WorkOrder, 'id' | 'number'>,
  {
    isJoined,
    by,
    id,
    at,
  }: { readonly isJoined: boolean; readonly by: PersonId | null; readonly id: string; readonly at: Instant },
): Report {
  const event = { is: 'taken', by, workOrderId: work.id, number: work.number, isJoined } as const;
  const taken = withEvent(answered(report, at), event, id, at);
  return { ...taken, state: 'taken', workOrderId: work.id, looking: null };
}

/** Words, a photo or a voice are added, as long as it has room; what its reporter adds answers what they were asked. */
export function withSaid(
  report: Report,
  said: Said,
  {
    by,
    isReporter,
    id,
    at,
  }: { readonly by: PersonId | null; readonly isReporter: boolean; readonly id: string; readonly at: Instant },
): Result<Report> {
  const ofGuests = report.events.filter((event) => event.is === 'said' && event.by === null);
  const isFull = report.events.length >= MOST_EVENTS || (by === null && ofGuests.length >= MOST_GUEST_WORDS);
  if (isFull) return refuse('report_full', { number: report.number });
  const longer = withEvent(report, { is: 'said', by, isReporter, ...said }, id, at);
  return { ok: true, value: isReporter && report.state === 'asked' ? { ...longer, state: 'waiting' } : longer };
}

/** Somebody else has the same problem; who said so already, or reported it, counts once. */
export function withOther(report: Report, personId: PersonId | null, at: Instant): Report {
  const isThere = personId !== null && (report.by === personId || report.others.some((o) => o.personId === personId));
  if (isThere || report.others.length >= MOST_OTHERS) return report;
  return { ...report, others: [...report.others, { personId, at }] };
}

/** The work that a report joins: open, of its site. */
export async function findWorkToJoin(records: Records, report: Report, id: WorkOrderId): Promise<Result<WorkOrder>> {
  const work = await records.get('workOrders', id);
  if (work?.siteId !== report.siteId) return refuse('not_found', { what: 'work order' }, 'workOrderId');
  const isOver = work.state === 'accepted' || work.state === 'dropped' || work.state === 'finished';
  if (isOver) return refuse('work_order_closed', { number: work.number, state: work.state }, 'workOrderId');
  return { ok: true, value: work };
}

/** The machine of a report that only named a place, or named another. */
export async function checkMachine(records: Records, report: Report, assetId: AssetId): Promise<Outcome> {
  const asset = await records.get('assets', assetId);
  return asset?.siteId === report.siteId ? accepted : refuse('not_found', { what: 'machine' }, 'assetId');
}
