import * as yup from 'yup';
import type { EntryId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  idField,
  idListField,
  LONGEST_LINE,
  LONGEST_TEXT,
  optionalTextField,
  textField,
} from '../../../kernel/schema/fields';
import { signatureFields, whyNoSignature } from '../../../kernel/signature/signature';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import type { EntryKindSet } from '../../orders/work/entry-kinds';
import { hashOf } from './seal';

const MOST_SIGNED = 5_000;
const HASH = /^[0-9a-f]{64}$/;

const hashField = () =>
  yup.string().strict().required('Say what is signed for.').matches(HASH, 'This is not the hash of a record.');

/** The machine is given to maintenance. */
const give = defineOperation({
  label: 'that the machine was given to maintenance',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    from: textField(LONGEST_LINE),
    condition: textField(LONGEST_TEXT),
    where: optionalTextField(),
  }),
  reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
  correct: { fields: { from: 'line', condition: 'text', where: 'line' }, keepsTime: true },
  apply: async (records, { workOrderId, ...said }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    await records.put('entries', newEntry(found.value, { kind: 'given', ...said }, context));
    return accepted;
  },
});

/**
 * It goes back to those who run it. Whoever takes it signs for the entries that were shown to them; a hash binds the signature to
 * them, and is refused where it is of others.
 */
const takeBack = (kinds: EntryKindSet) =>
  defineOperation({
    label: 'the return to service',
    inLog: 'forLeads',
    governs: 'nothing',
    roles: ['technician', 'lead'],
    schema: argsSchema({
      workOrderId: idField<WorkOrderId>(),
      condition: textField(LONGEST_TEXT),
      reservations: optionalTextField(LONGEST_TEXT),
      ...signatureFields,
      entryIds: idListField<EntryId>(MOST_SIGNED, 'Say what is signed for.')
        .test('some', 'Say what is signed for.', (ids) => (ids ?? []).length > 0)
        .meta({ jsonSchema: { minItems: 1 } }) as unknown as yup.Schema<readonly EntryId[]>,
      hash: hashField(),
    }),
    reads: ({ workOrderId }) => [rowNamed('workOrders', workOrderId)],
    correct: { fields: { condition: 'text', reservations: 'text' }, keepsTime: true },
    apply: async (records, { workOrderId, condition, reservations, name, path, entryIds, hash }, context) => {
      const found = await findOpenWork(records, workOrderId, context);
      if (!found.ok) return found;
      const wrong = whyNoSignature(path);
      if (wrong !== null) return refuse(wrong, {}, 'path');
      const entries = new Map(
        (await records.list('entries', 'workOrder', workOrderId)).map((entry) => [entry.id, entry]),
      );
      const signed = entryIds.flatMap((id) => entries.get(id) ?? []);
      if (signed.length < entryIds.length || hashOf(kinds, signed) !== hash)
        return refuse('signed_other_record', {}, 'hash');
      const content = {
        kind: 'returned',
        condition,
        reservations,
        signature: { name, path },
        seal: { entryIds, hash },
      } as const;
      await records.put('entries', newEntry(found.value, content, context));
      return accepted;
    },
  });

export const returnOperations = (kinds: EntryKindSet) =>
  ({ 'machine.give': give, 'machine.return': takeBack(kinds) }) as const;
