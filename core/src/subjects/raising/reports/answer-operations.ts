import type { AssetId, PersonId, ReportId, WorkOrderId } from '../../../kernel/ids';
import { argsSchema, idField, LONGEST_TEXT, optionalTextField, textField } from '../../../kernel/schema/fields';
import { hasRole } from '../../../operations/actor';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { noteReportOn } from './reports-entries';
import {
  answered,
  checkMachine,
  findOpenReport,
  findToAnswer,
  findWorkToJoin,
  takenUp,
  withEvent,
} from './change-report';

const onReport = { reportId: idField<ReportId>() };
const answering = ['technician', 'lead'] as const;
const readsReport = ({ reportId }: { readonly reportId?: string }) => [rowNamed('reports', reportId)];

/** Something is asked back; the report waits for its reporter until they say it. */
const ask = defineOperation({
  label: 'asking back',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: answering,
  schema: argsSchema({ ...onReport, words: textField(LONGEST_TEXT) }),
  reads: readsReport,
  correct: { fields: { words: 'text' }, keepsTime: false },
  apply: async (records, { reportId, words }, context) => {
    const found = await findToAnswer(records, reportId, context);
    if (!found.ok) return found;
    const { person, at, operationId: id } = context;
    const asked = withEvent(answered(found.value, at), { is: 'asked', by: person.id, words }, id, at);
    await records.put('reports', { ...asked, state: 'asked' });
    return accepted;
  },
});

/** Somebody is sent to look before anything else is done. */
const sendToLook = defineOperation({
  label: 'sending somebody to look',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['lead'],
  schema: argsSchema({ ...onReport, personId: idField<PersonId>() }),
  reads: readsReport,
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { reportId, personId }, context) => {
    const found = await findToAnswer(records, reportId, context);
    if (!found.ok) return found;
    const sent = await records.get('people', personId);
    if (sent?.siteIds.includes(found.value.siteId) !== true) return refuse('not_found', { what: 'person' }, 'personId');
    const { person, at, operationId: id } = context;
    const told = withEvent(answered(found.value, at), { is: 'look', by: person.id, personId }, id, at);
    await records.put('reports', { ...told, looking: personId });
    return accepted;
  },
});

/** Somebody has seen it, and it is so: with what they saw. Whoever is there may, sent or not. */
const confirm = defineOperation({
  label: 'that you saw it',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: answering,
  schema: argsSchema({ ...onReport, words: optionalTextField(LONGEST_TEXT) }),
  reads: readsReport,
  correct: { fields: { words: 'text' }, keepsTime: true },
  apply: async (records, { reportId, words }, context) => {
    const found = await findOpenReport(records, reportId, context);
    if (!found.ok) return found;
    const { person, at, operationId: id } = context;
    const seen = withEvent(answered(found.value, at), { is: 'confirmed', by: person.id, words }, id, at);
    await records.put('reports', { ...seen, looking: seen.looking === person.id ? null : seen.looking });
    return accepted;
  },
});

/** It belongs to work that is there already, and closes with that. */
const join = defineOperation({
  label: 'joining a report to work',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: answering,
  schema: argsSchema({ ...onReport, workOrderId: idField<WorkOrderId>() }),
  reads: ({ reportId, workOrderId }) => [rowNamed('reports', reportId), rowNamed('workOrders', workOrderId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { reportId, workOrderId }, context) => {
    const found = await findToAnswer(records, reportId, context);
    if (!found.ok) return found;
    const work = await findWorkToJoin(records, found.value, workOrderId);
    if (!work.ok) return work;
    const { person, at, operationId: id } = context;
    await records.put('reports', takenUp(found.value, work.value, { isJoined: true, by: person.id, id, at }));
    await noteReportOn(records, work.value, found.value, 1, context);
    return accepted;
  },
});

/** Nothing is done about it, and the reporter is told why. */
const decline = defineOperation({
  label: 'declining a report',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['lead'],
  schema: argsSchema({ ...onReport, reason: textField(LONGEST_TEXT) }),
  reads: readsReport,
  correct: { fields: { reason: 'text' }, keepsTime: false },
  apply: async (records, { reportId, reason }, context) => {
    const found = await findToAnswer(records, reportId, context);
    if (!found.ok) return found;
    const { person, at, operationId: id } = context;
    const told = withEvent(answered(found.value, at), { is: 'declined', by: person.id, reason }, id, at);
    await records.put('reports', { ...told, state: 'declined', looking: null, endedAt: at });
    return accepted;
  },
});

/** A report that only named a place finds its machine, or one on the wrong machine the right one. */
const nameMachine = defineOperation({
  label: 'the machine of a report',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: answering,
  schema: argsSchema({ ...onReport, assetId: idField<AssetId>() }),
  reads: ({ reportId, assetId }) => [rowNamed('reports', reportId), rowNamed('assets', assetId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { reportId, assetId }, context) => {
    const found = await findOpenReport(records, reportId, context);
    if (!found.ok) return found;
    const possible = await checkMachine(records, found.value, assetId);
    if (!possible.ok) return possible;
    const { person, at, operationId: id } = context;
    const isFirst = found.value.assetId === null;
    if (!isFirst && !hasRole(person, ['lead'])) return refuse('not_yours_to_answer');
    const told = withEvent(found.value, { is: 'machine', by: person.id, assetId }, id, at);
    await records.put('reports', { ...told, assetId });
    return accepted;
  },
});

export const answerOperations = {
  'report.ask': ask,
  'report.send-to-look': sendToLook,
  'report.confirm': confirm,
  'report.join': join,
  'report.decline': decline,
  'report.name-machine': nameMachine,
};
