import { asId, type AssetId, type PlaceId, type ReportId, type WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  idField,
  LONGEST_TEXT,
  optionalIdField,
  optionalInstantField,
  optionalKeyField,
  optionalTextField,
} from '../../../kernel/schema/fields';
import { parseInstant } from '../../../kernel/time/instant';
import { accepted, defineOperation, refuse, rowNamed, type OperationContext } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { provisionalNumber } from '../../plant/numbers/numbers';
import { findWorkOfSite } from '../../orders/work/guards';
import { findOpenReport, takenUp, withOther, withSaid } from './change-report';
import { findWhere, putReport } from './put-report';
import { isReporterOf, newReport } from './report';
import { optionalPhotoField } from '../../plant/files/photo-field';
import { optionalConditionField, optionalFlagField, voiceField, wordsField } from './report-fields';

const anybody = ['technician', 'lead', 'storekeeper'] as const;
const onReport = { reportId: idField<ReportId>() };

/** The number that a new report gets, or why not. */
async function numberFor(
  records: Records,
  given: string | null,
  context: OperationContext,
): Promise<{ readonly number: string; readonly isTaken: boolean }> {
  const number = given ?? context.newNumber ?? provisionalNumber('report', context.operationId);
  return { number, isTaken: (await records.list('reports', 'number', number)).length > 0 };
}

/** Somebody says that something is wrong, with a machine or at a place. Its id is that of the operation. */
const makeReport = defineOperation({
  label: 'this report',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    number: optionalKeyField(),
    assetId: optionalIdField<AssetId>(),
    placeId: optionalIdField<PlaceId>(),
    words: wordsField(),
    condition: optionalConditionField(),
    danger: optionalFlagField(),
    since: optionalInstantField(),
    photo: optionalPhotoField(),
  }),
  file: 'photo.fileId',
  numbered: 'report',
  reads: ({ assetId, placeId }) => [rowNamed('assets', assetId), rowNamed('places', placeId)],
  correct: { fields: { words: 'text' }, keepsTime: true },
  apply: async (records, { number: given, since, ...said }, context) => {
    const { person, at, operationId } = context;
    const where = await findWhere(records, said, person.siteIds);
    if (!where.ok) return where;
    const { number, isTaken } = await numberFor(records, given, context);
    if (isTaken) return refuse('number_taken', { number }, 'number');
    const begun = since === null ? null : parseInstant(since);
    if (begun !== null && begun > at) return refuse('stoppage_in_future', {}, 'since');
    const report = { ...said, number, since: begun, by: person.id, guest: null, at };
    const put = await putReport(records, { ...report, id: asId<ReportId>(operationId) }, where.value);
    return put.ok ? accepted : put;
  },
});

/** More words or another photo. What its reporter says answers what they were asked. */
const sayMore = defineOperation({
  label: 'more about a report',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onReport, words: optionalTextField(LONGEST_TEXT), photo: optionalPhotoField() }),
  file: 'photo.fileId',
  reads: ({ reportId }) => [rowNamed('reports', reportId)],
  correct: { fields: { words: 'text' }, keepsTime: true },
  apply: async (records, { reportId, words, photo }, context) => {
    if (words.trim() === '' && photo === null) return refuse('invalid', { reason: 'Write something first.' }, 'words');
    const found = await findOpenReport(records, reportId, context);
    if (!found.ok) return found;
    const { person, at, operationId: id } = context;
    const isReporter = isReporterOf(found.value, person.id);
    const said = { words, ...(photo === null ? {} : { photo }) };
    const longer = withSaid(found.value, said, { by: person.id, isReporter, id, at });
    if (!longer.ok) return longer;
    await records.put('reports', longer.value);
    return accepted;
  },
});

/** More about a report, spoken. */
const sayAloud = defineOperation({
  label: 'a voice note on a report',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ ...onReport, voice: voiceField() }),
  file: 'voice.fileId',
  reads: ({ reportId }) => [rowNamed('reports', reportId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { reportId, voice }, context) => {
    const found = await findOpenReport(records, reportId, context);
    if (!found.ok) return found;
    const { person, at, operationId: id } = context;
    const isReporter = isReporterOf(found.value, person.id);
    const longer = withSaid(found.value, { words: '', voice }, { by: person.id, isReporter, id, at });
    if (!longer.ok) return longer;
    await records.put('reports', longer.value);
    return accepted;
  },
});

/** The person has the same problem: they count, and hear what becomes of it. */
const meToo = defineOperation({
  label: 'that you have the same problem',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema(onReport),
  reads: ({ reportId }) => [rowNamed('reports', reportId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { reportId }, context) => {
    const found = await findOpenReport(records, reportId, context);
    if (!found.ok) return found;
    const joined = withOther(found.value, context.person.id, context.at);
    if (joined !== found.value) await records.put('reports', joined);
    return accepted;
  },
});

/** The person has the problem that work is already on: their report joins that work at once. Said twice, it counts once. */
const meTooOnWork = defineOperation({
  label: 'that you have the same problem',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ number: optionalKeyField(), workOrderId: idField<WorkOrderId>() }),
  numbered: 'report',
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { number: given, workOrderId }, context) => {
    const found = await findWorkOfSite(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const there = await records.list('reports', 'work', workOrderId);
    const { person, at, operationId } = context;
    if (there.some((report) => isReporterOf(report, person.id))) return accepted;
    const { number, isTaken } = await numberFor(records, given, context);
    if (isTaken) return refuse('number_taken', { number }, 'number');
    const isOver = work.state === 'accepted' || work.state === 'dropped' || work.state === 'finished';
    if (isOver) return refuse('work_order_closed', { number: work.number, state: work.state }, 'workOrderId');
    const id = asId<ReportId>(operationId);
    const made = newReport({
      id,
      number,
      siteId: work.siteId,
      assetId: work.assetId,
      placeId: work.placeId,
      words: work.title,
      condition: null,
      danger: null,
      since: null,
      urgency: work.urgency,
      photo: null,
      by: person.id,
      guest: null,
      at,
    });
    await records.put('reports', takenUp(made, work, { isJoined: true, by: person.id, id: operationId, at }));
    return accepted;
  },
});

export const reportsOperations = {
  'report.make': makeReport,
  'report.say': sayMore,
  'report.say-aloud': sayAloud,
  'report.me-too': meToo,
  'report.me-too-on-work': meTooOnWork,
};
