import { asId, type OtherTimeId, type SiteId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  idField,
  instantField,
  optionalTextField,
  wholeField,
} from '../../../kernel/schema/fields';
import { parseInstant } from '../../../kernel/time/instant';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type Result,
  type OperationContext,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { checkLabor } from './labor';
import { otherTimeReasons, type OtherTime } from './other-time';

const anybodyWhoWorks = ['technician', 'lead', 'storekeeper'] as const;
const when = { startedAt: instantField(), minutes: wholeField() };

/** The person's own time on no job: a meeting, a drive. */
const addOtherTime = defineOperation({
  label: 'this time on no job',
  inLog: 'private',
  governs: 'nothing',
  roles: anybodyWhoWorks,
  schema: argsSchema({
    siteId: idField<SiteId>(),
    ...when,
    reason: choiceField(otherTimeReasons),
    words: optionalTextField(),
  }),
  reads: () => [],
  correct: { fields: { minutes: 'duration', words: 'line' }, keepsTime: true },
  apply: async (records, { siteId, minutes, reason, words, ...args }, context) => {
    if (!context.person.siteIds.includes(siteId)) return refuse('not_found', { what: 'site' }, 'siteId');
    const time = { startedAt: parseInstant(args.startedAt), minutes };
    const possible = checkLabor(time, context);
    if (!possible.ok) return possible;
    const id = asId<OtherTimeId>(context.operationId);
    await records.put('otherTimes', { id, siteId, personId: context.person.id, ...time, reason, words });
    return accepted;
  },
});

/** It began at another time, or took longer or less. */
const amendOtherTime = defineOperation({
  label: 'the amended time on no job',
  inLog: 'private',
  governs: 'nothing',
  roles: anybodyWhoWorks,
  schema: argsSchema({ otherTimeId: idField<OtherTimeId>(), ...when }),
  reads: ({ otherTimeId }) => [rowNamed('otherTimes', otherTimeId)],
  correct: { fields: { minutes: 'duration' }, keepsTime: true },
  apply: async (records, { otherTimeId, minutes, ...args }, context) => {
    const found = await findOwn(records, otherTimeId, context);
    if (!found.ok) return found;
    const time = { startedAt: parseInstant(args.startedAt), minutes };
    const possible = checkLabor(time, context);
    if (!possible.ok) return possible;
    await records.put('otherTimes', { ...found.value, ...time });
    return accepted;
  },
});

/** It was not worked. Who changed what stays in the log. */
const removeOtherTime = defineOperation({
  label: 'taking back time on no job',
  inLog: 'private',
  governs: 'nothing',
  roles: anybodyWhoWorks,
  schema: argsSchema({ otherTimeId: idField<OtherTimeId>() }),
  reads: ({ otherTimeId }) => [rowNamed('otherTimes', otherTimeId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { otherTimeId }, context) => {
    const found = await findOwn(records, otherTimeId, context);
    if (!found.ok) return found;
    await records.remove('otherTimes', otherTimeId);
    return accepted;
  },
});

async function findOwn(records: Records, id: OtherTimeId, context: OperationContext): Promise<Result<OtherTime>> {
  const time = await records.get('otherTimes', id);
  if (time?.personId !== context.person.id) return refuse('not_found', { what: 'time' }, 'otherTimeId');
  return { ok: true, value: time };
}

export const otherTimeOperations = {
  'time.add': addOtherTime,
  'time.amend': amendOtherTime,
  'time.remove': removeOtherTime,
};
