import { argsSchema, LONGEST_LINE, textField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse } from '../../../operations/operation';
import { findAmendable, onEntry, putAmendment, readsToAmend } from './amendment';
import { anyEntryKind, anyPutBack, type EntryKindSet, type PutBackSet } from './entry-kinds';

/** An entry should not be there: it is taken back, and stays readable. What it moved is put back as its kind says. */
export const withdrawEntry = (kinds: EntryKindSet, putBacks: PutBackSet) =>
  defineOperation({
    label: 'taking this back',
    inLog: 'forLeads',
    governs: 'nothing',
    roles: ['technician', 'lead', 'storekeeper'],
    schema: argsSchema({ ...onEntry, reason: textField(LONGEST_LINE) }),
    reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
    correct: { fields: { reason: 'line' }, keepsTime: true },
    apply: async (records, args, context) => {
      const found = await findAmendable(records, args, context);
      if (!found.ok) return found;
      const { work, entry } = found;
      const { kind } = entry.content;
      if ((anyEntryKind(kinds, kind)?.withdraw ?? null) === null) return refuse('entry_not_amendable', {}, 'entryId');
      await putAmendment(records, found, { kind: 'withdrawal', reason: args.reason }, context);
      const refused = (await anyPutBack(putBacks, kind)?.(records, work, entry, context)) ?? null;
      return refused ?? accepted;
    },
  });
