import * as yup from 'yup';
import { asId, type AssetId, type IncidentId, type PlaceId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  flagField,
  idField,
  instantField,
  LONGEST_TEXT,
  optionalIdField,
  optionalKeyField,
  optionalTextField,
} from '../../../kernel/schema/fields';
import { signatureFields, whyNoSignature, type Signature } from '../../../kernel/signature/signature';
import { parseInstant } from '../../../kernel/time/instant';
import { hasRole } from '../../../operations/actor';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type Result,
  type OperationContext,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { provisionalNumber } from '../../plant/numbers/numbers';
import { firstMissing, incidentKinds, rulesOf, type ReportQuestion } from '../../orders/raise-rules/raise-rules';
import { findWhere, questionWords } from '../reports/put-report';
import { optionalPhotoField } from '../../plant/files/photo-field';
import { voiceField, wordsField } from '../reports/report-fields';
import { MOST_INCIDENT_NOTES, type Incident } from './incident';
import { causesField, presentField } from './incident-fields';

const anybody = ['technician', 'lead', 'storekeeper'] as const;
const optionalSignature = yup
  .object(signatureFields)
  .noUnknown()
  .strict()
  .nullable()
  .defined() as unknown as yup.Schema<Signature | null>;

/** Somebody was hurt, or nearly; something was damaged, or spilled or released. Its id is that of the operation. */
const makeIncident = defineOperation({
  label: 'this incident',
  // Who may read of it is fewer than who may read the log.
  inLog: 'private',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    number: optionalKeyField(),
    kind: choiceField(incidentKinds),
    assetId: optionalIdField<AssetId>(),
    placeId: optionalIdField<PlaceId>(),
    words: wordsField(),
    happenedAt: instantField(),
    causes: causesField(),
    presentIds: presentField(),
    presentOthers: optionalTextField(),
    doneAtOnce: optionalTextField(LONGEST_TEXT),
    photo: optionalPhotoField(),
    signature: optionalSignature,
  }),
  file: 'photo.fileId',
  numbered: 'report',
  reads: ({ assetId, placeId }) => [rowNamed('assets', assetId), rowNamed('places', placeId)],
  correct: { fields: { words: 'text', doneAtOnce: 'text' }, keepsTime: true },
  apply: async (records, { number: given, happenedAt, ...said }, context) => {
    const { person, at, operationId } = context;
    const where = await findWhere(records, said, person.siteIds);
    if (!where.ok) return where;
    const { siteId, assetId, placeId } = where.value;
    const happened = parseInstant(happenedAt);
    if (happened > at) return refuse('stoppage_in_future', {}, 'happenedAt');
    const { causes, presentIds, presentOthers, doneAtOnce, photo, signature, kind, words } = said;
    const wrong = signature === null ? null : whyNoSignature(signature.path);
    if (wrong !== null) return refuse(wrong, {}, 'signature.path');
    for (const id of presentIds) {
      const there = await records.get('people', id);
      if (there?.siteIds.includes(siteId) !== true) return refuse('not_found', { what: 'person' }, 'presentIds');
    }
    const isGiven: Partial<Record<ReportQuestion, boolean>> = {
      since: true,
      causes: causes.length > 0,
      present: presentIds.length > 0 || presentOthers.trim() !== '',
      doneAtOnce: doneAtOnce.trim() !== '',
      photo: photo !== null,
      signature: signature !== null,
    };
    const rules = rulesOf(siteId, await records.get('raiseRules', siteId));
    const missing = firstMissing(rules, kind, (question) => isGiven[question] === true);
    if (missing !== null) return refuse('report_lacks', { what: questionWords[missing] }, missing);
    const number = given ?? context.newNumber ?? provisionalNumber('report', operationId);
    if ((await records.list('incidents', 'number', number)).length > 0)
      return refuse('number_taken', { number }, 'number');
    await records.put('incidents', {
      id: asId<IncidentId>(operationId),
      number,
      siteId,
      kind,
      assetId,
      placeId,
      words: words.trim(),
      happenedAt: happened,
      causes: [...new Set(causes)],
      presentIds: [...new Set(presentIds)],
      presentOthers,
      doneAtOnce,
      photo,
      signature,
      by: person.id,
      at,
      readerIds: [...new Set([person.id, ...presentIds])],
      notes: [],
      closed: null,
    });
    return accepted;
  },
});

/** Words or a photo beside an incident, by somebody whom it concerns; a lead may close it with them, or open it again. */
const addToIncident = defineOperation({
  label: 'more about an incident',
  inLog: 'private',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({
    incidentId: idField<IncidentId>(),
    words: optionalTextField(LONGEST_TEXT),
    photo: optionalPhotoField(),
    closes: flagField(),
  }),
  file: 'photo.fileId',
  reads: ({ incidentId }) => [rowNamed('incidents', incidentId)],
  correct: { fields: { words: 'text' }, keepsTime: true },
  apply: async (records, { incidentId, words, photo, closes }, context) => {
    // A lead who closes it says why.
    if (words.trim() === '' && (photo === null || closes))
      return refuse('invalid', { reason: 'Write something first.' }, 'words');
    const found = await findIncidentWithRoom(records, incidentId, context);
    if (!found.ok) return found;
    const incident = found.value;
    const { person, at, operationId } = context;
    if (closes && !hasRole(person, ['lead'])) return refuse('role_missing', { roles: 'lead' }, 'closes');
    const note = { id: operationId, at, by: person.id, words, ...(photo === null ? {} : { photo }) };
    await records.put('incidents', {
      ...incident,
      notes: [...incident.notes, note],
      closed: closes ? { at, by: person.id, words } : null,
    });
    return accepted;
  },
});

/** More about an incident, spoken; one that was closed is open again. */
const sayAloud = defineOperation({
  label: 'a voice note on an incident',
  inLog: 'private',
  governs: 'nothing',
  roles: anybody,
  schema: argsSchema({ incidentId: idField<IncidentId>(), voice: voiceField() }),
  file: 'voice.fileId',
  reads: ({ incidentId }) => [rowNamed('incidents', incidentId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { incidentId, voice }, context) => {
    const found = await findIncidentWithRoom(records, incidentId, context);
    if (!found.ok) return found;
    const { person, at, operationId } = context;
    const note = { id: operationId, at, by: person.id, words: '', voice };
    await records.put('incidents', { ...found.value, notes: [...found.value.notes, note], closed: null });
    return accepted;
  },
});

/** An incident that concerns this person, and to which something can be added. */
async function findIncidentWithRoom(
  records: Records,
  id: IncidentId,
  { person }: OperationContext,
): Promise<Result<Incident>> {
  const incident = await records.get('incidents', id);
  if (incident?.readerIds.includes(person.id) !== true) return refuse('not_found', { what: 'incident' }, 'incidentId');
  if (incident.notes.length >= MOST_INCIDENT_NOTES) return refuse('report_full', { number: incident.number });
  return { ok: true, value: incident };
}

export const incidentsOperations = {
  'incident.make': makeIncident,
  'incident.add': addToIncident,
  'incident.say-aloud': sayAloud,
};
