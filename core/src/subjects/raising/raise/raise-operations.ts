import * as yup from 'yup';
import {
  asId,
  type AssetId,
  type BinId,
  type CrewId,
  type EntryId,
  type Id,
  type PartId,
  type PersonId,
  type PointId,
  type ReportId,
  type WorkOrderId,
} from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  dayFieldIfAny,
  flagFieldIfAny,
  idField,
  idFieldIfAny,
  idListField,
  idListFieldIfAny,
  listField,
  LONGEST_LINE,
  LONGEST_TEXT,
  optionalIdField,
  optionalInstantField,
  optionalKeyField,
  optionalTextField,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import { parseInstant, type Instant } from '../../../kernel/time/instant';
import type { LocalDay } from '../../../kernel/time/local-day';
import { hasRole } from '../../../operations/actor';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Outcome,
  type Refusal,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Fields } from '../../../records/table';
import { listOfFields } from '../../../records/upgrade';
import { goAheadFor } from '../../recording/go-ahead/go-ahead';
import { provisionalNumber } from '../../plant/numbers/numbers';
import type { Asset } from '../../plant/plant/plant';
import { dueBy, rulesOf } from '../../orders/raise-rules/raise-rules';
import { findToAnswer, takenUp } from '../reports/change-report';
import { photosOf } from '../reports/report';
import { noteReportOn } from '../reports/reports-entries';
import { checkNewSteps, checkPoints, newStepsField, stepsOf, type NewStep } from '../../steps/steps/new-step';
import { questionUpgraded } from '../../steps/steps/upgrades';
import { putStoppage, howStopped } from '../../recording/stoppages/put-stoppage';
import type { Extent } from '../../recording/stoppages/stoppages-entries';
import type { EntryContent } from '../../orders/work/entries';
import { entryBeside } from '../../orders/work/entry-ids';
import { isTooFar } from '../../orders/work/furthest-day';
import { findAssignees } from '../../orders/work/give-work';
import { findWorkOfSite, newEntry } from '../../orders/work/guards';
import { putNewWork } from '../../orders/hazards/put-new-work';
import { urgencies, workKinds, type KitPart, type KitTool, type WorkOrder } from '../../orders/work/work-order';

const MOST_LINES = 100;
const MOST_PEOPLE = 50;
/** Notes and photos that go along with further work. */
export const MOST_CARRIED = 50;
/** Reports of one problem that are taken up at once. */
const MOST_REPORTS = 50;
/** A year of one person, in minutes: no job is estimated longer. */
const LONGEST_ESTIMATE = 365 * 24 * 60;

interface NewHazard {
  readonly hazard: string;
  readonly control: string;
}

const hazardField = argsSchema({
  hazard: textField(LONGEST_LINE),
  control: textField(LONGEST_LINE),
}) as yup.Schema<NewHazard>;
const kitField = argsSchema({
  partId: idField<PartId>(),
  binId: idField<BinId>(),
  quantity: wholeField().min(1),
  unit: optionalKeyField(),
}) as yup.Schema<KitPart>;
const toolField = argsSchema({
  name: textField(LONGEST_LINE),
  count: wholeField().min(1).max(1_000),
}) as yup.Schema<KitTool>;

/** That the machine stands still or runs reduced since it is reported, and goes on so. */
const stoppageIfAny = yup
  .object(howStopped)
  .noUnknown()
  .strict()
  .default(undefined)
  .optional() as unknown as yup.Schema<
  { readonly from: string; readonly extent: Extent; readonly lostPercent: number | null } | undefined
>;

/**
 * Makes a work order: on which machine, what is to be done, how soon. Its id is that of the operation. Its number is one that
 * the server lent to the device, or null where none was left: then the server gives it one.
 */
const raiseWork = defineOperation({
  label: 'this new work order',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    number: optionalKeyField(),
    assetId: idField<AssetId>(),
    title: textField(LONGEST_LINE),
    reason: optionalTextField(LONGEST_TEXT),
    urgency: choiceField(urgencies),
    kind: choiceField(workKinds),
    tradeId: optionalKeyField(),
    dueAt: optionalInstantField(),
    estimateMinutes: wholeField().min(0).max(LONGEST_ESTIMATE),
    steps: newStepsField(),
    kit: listField(kitField, MOST_LINES),
    tools: listField(toolField, MOST_LINES),
    hazards: listField(hazardField, MOST_LINES),
    personIds: idListField<PersonId>(MOST_PEOPLE, 'Name the people.'),
    crewId: optionalIdField<CrewId>(),
    cameFrom: optionalIdField<WorkOrderId>(),
    alarmOf: idFieldIfAny<PointId>(),
    answers: idListFieldIfAny<Id<string>>(MOST_LINES),
    carried: idListFieldIfAny<EntryId>(MOST_CARRIED),
    reportIds: idListFieldIfAny<ReportId>(MOST_REPORTS),
    plannedOn: dayFieldIfAny(),
    /** It was done before anybody raised it: it waits for nobody's go-ahead. */
    isDone: flagFieldIfAny(),
    stoppage: stoppageIfAny,
  }),
  numbered: 'workOrder',
  reads: ({ assetId, cameFrom }) => [rowNamed('assets', assetId), rowNamed('workOrders', cameFrom)],
  correct: { fields: { title: 'line', reason: 'text' }, keepsTime: true },
  upgrades: [{ to: 8, change: (args) => ({ ...args, steps: listOfFields(args['steps']).map(newStepUpgraded) }) }],
  apply: async (records, args, context) => {
    const asset = await records.get('assets', args.assetId);
    if (asset === undefined || !context.person.siteIds.includes(asset.siteId)) {
      return refuse('not_found', { what: 'machine' }, 'assetId');
    }
    const possible = await mayRaise(records, args, asset, context);
    if (!possible.ok) return possible;
    for (const field of ['dueAt', 'plannedOn'] as const) {
      const when = args[field] ?? null;
      if (when !== null && isTooFar(when as LocalDay | Instant, context.at)) return refuse('day_too_far', {}, field);
    }
    const number = args.number ?? context.newNumber ?? provisionalNumber('workOrder', context.operationId);
    const taken = await records.list('workOrders', 'number', number);
    if (taken.length > 0) return refuse('number_taken', { number }, 'number');
    const person = await records.get('people', context.person.id);
    const id = asId<WorkOrderId>(context.operationId);
    const { title, reason, urgency, kind, estimateMinutes, crewId, cameFrom } = args;
    const { alarmOf } = args;
    const goAhead =
      args.isDone === true ? undefined : await goAheadFor(records, { ...args, siteId: asset.siteId }, context);
    if (alarmOf !== undefined && (await records.get('points', alarmOf))?.siteId !== asset.siteId) {
      return notFound('measuring point', 'alarmOf');
    }
    await putNewWork(records, {
      ...(alarmOf === undefined ? {} : { alarmOf }),
      ...(args.answers === undefined || args.answers.length === 0 ? {} : { answers: args.answers }),
      id,
      number,
      siteId: asset.siteId,
      assetId: asset.id,
      placeId: asset.placeId,
      kind,
      urgency,
      title,
      reason,
      tradeId: args.tradeId ?? person?.tradeId ?? '',
      dueAt: args.dueAt === null ? await dueByRule(records, asset, args, context) : parseInstant(args.dueAt),
      raisedBy: context.person.id,
      estimateMinutes,
      personIds: [...new Set(args.personIds)],
      crewId,
      hazards: args.hazards.map((hazard, index) => ({ id: `${id}-h${index + 1}`, ...hazard })),
      kit: [...args.kit],
      tools: [...args.tools],
      createdAt: context.at,
      cameFrom,
      ...(goAhead === undefined ? {} : { goAhead }),
      ...(args.plannedOn === undefined ? {} : { plannedOn: args.plannedOn }),
      ...(args.isDone === true ? { wasDoneBefore: true } : {}),
    });
    const answered = await takeUpReports(records, args.reportIds ?? [], { id, number }, asset, context);
    if (!answered.ok) return answered;
    const carried = await carryOver(records, args, id, context);
    if (!carried.ok) return carried;
    if (args.stoppage !== undefined) {
      const work = await records.get('workOrders', id);
      const stoppage = { ...args.stoppage, from: parseInstant(args.stoppage.from), to: null, isPlanned: false };
      if (work === undefined) return notFound('work order', 'stoppage');
      const entryId = entryBeside(context.entryId, 'stoppage');
      const stopped = await putStoppage(records, work, asset, stoppage, entryId, context);
      if (!stopped.ok) return { ...stopped, field: 'stoppage' };
    }
    const made = { prefix: id, workOrderId: id, siteId: asset.siteId, stopId: null, after: 0, added: null };
    for (const step of stepsOf(args.steps, made)) await records.put('steps', step);
    return accepted;
  },
});

/** When raised work is due where nobody said: by how urgent it is, as its site wants it. What is done already is due no more. */
async function dueByRule(
  records: Records,
  { siteId }: Asset,
  { urgency, isDone }: { readonly urgency: WorkOrder['urgency']; readonly isDone?: boolean | undefined },
  { at }: OperationContext,
): Promise<Instant | null> {
  if (isDone === true) return null;
  return dueBy(rulesOf(siteId, await records.get('raiseRules', siteId)), urgency, at);
}

/** The reports that it answers: each hears of it, and its pictures stand in the record of the work. */
async function takeUpReports(
  records: Records,
  reportIds: readonly ReportId[],
  work: Pick<WorkOrder, 'id' | 'number'>,
  asset: Asset,
  context: OperationContext,
): Promise<Outcome> {
  const made = await records.get('workOrders', work.id);
  const { person, at, operationId } = context;
  let pictures = 0;
  for (const [index, id] of [...new Set(reportIds)].entries()) {
    const found = await findToAnswer(records, id, context);
    if (!found.ok) return { ...found, field: 'reportIds' };
    const report = found.value;
    if (report.siteId !== asset.siteId) return notFound('report', 'reportIds');
    await records.put('reports', takenUp(report, work, { isJoined: false, by: person.id, id: operationId, at }));
    if (made !== undefined) await noteReportOn(records, made, report, index + 1, context);
    for (const photo of photosOf(report)) {
      if (made === undefined || pictures >= MOST_CARRIED) break;
      pictures += 1;
      const content = { kind: 'photo', ...photo, caption: report.number, taken: 'before' } as const;
      const entry = newEntry(made, content, context);
      await records.put('entries', { ...entry, id: entryBeside(context.entryId, `reported-${pictures}`) });
    }
  }
  return accepted;
}

/**
 * Notes and photos of the work that it came from, and pictures that answered its steps, stand in its record too, as they were and by
 * whom they were.
 */
async function carryOver(
  records: Records,
  {
    cameFrom,
    carried = [],
  }: { readonly cameFrom: WorkOrderId | null; readonly carried?: readonly EntryId[] | undefined },
  id: WorkOrderId,
  context: OperationContext,
): Promise<Outcome> {
  const work = await records.get('workOrders', id);
  for (const [index, entryId] of carried.entries()) {
    const entry = await records.get('entries', entryId);
    const content = entry === undefined ? null : carriedContent(entry.content);
    if (work === undefined || entry === undefined || content === null || entry.workOrderId !== cameFrom)
      return notFound('note or photo', 'carried');
    const { amends: _, arrival: __, ...kept } = entry;
    await records.put('entries', {
      ...kept,
      content,
      amends: null,
      id: entryBeside(context.entryId, `carried-${index + 1}`),
      workOrderId: id,
      siteId: work.siteId,
      assetId: work.assetId,
    });
  }
  return accepted;
}

/** What becomes of an entry on other work, where its steps are not; null where it stays behind. */
function carriedContent(content: EntryContent): EntryContent | null {
  if (content.kind === 'note' || content.kind === 'photo') {
    const { stepId: _, ...kept } = content;
    return kept;
  }
  if (content.kind !== 'answer' || content.answer?.type !== 'photo') return null;
  const { fileId, mediaType, width, height } = content.answer;
  return { kind: 'photo', fileId, mediaType, width, height, caption: '' };
}

const newStepUpgraded = (step: Fields): Fields => ({
  ...step,
  question: questionUpgraded(step['question']),
  under: null,
  when: null,
});

interface Raised {
  readonly steps: readonly NewStep[];
  readonly kit: readonly KitPart[];
  readonly personIds: readonly PersonId[];
  readonly crewId: CrewId | null;
  readonly cameFrom: WorkOrderId | null;
}

/** Whether everything that it names is there, and the person may name it. */
async function mayRaise(
  records: Records,
  { steps, kit, personIds, crewId, cameFrom }: Raised,
  asset: Asset,
  context: OperationContext,
): Promise<Outcome> {
  const assignees = await findAssignees(records, asset.siteId, personIds, crewId);
  if (!assignees.ok) return assignees;
  if (!hasRole(context.person, ['lead'])) {
    const isMine = personIds.every((id) => id === context.person.id);
    const isMyCrew = crewId === null || assignees.value?.memberIds.includes(context.person.id) === true;
    if (!isMine || !isMyCrew) return refuse('not_yours_to_give', {}, isMine ? 'crewId' : 'personIds');
  }
  if (cameFrom !== null) {
    const found = await findWorkOfSite(records, cameFrom, context);
    if (!found.ok) return { ...found, field: 'cameFrom' };
  }
  for (const { partId, binId } of kit) {
    const bin = await records.get('bins', binId);
    const isThere = (await records.get('parts', partId)) !== undefined && bin !== undefined;
    if (!isThere || !context.person.siteIds.includes(bin.siteId)) return notFound('part in this bin', 'kit');
  }
  const possible = checkNewSteps(steps);
  return possible.ok ? checkPoints(records, steps, asset.siteId) : possible;
}

const notFound = (what: string, field: string): Refusal => refuse('not_found', { what }, field);

export const raiseOperations = { 'work.raise': raiseWork };
