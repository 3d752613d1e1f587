import type { PersonId } from '../../../kernel/ids';
import { argsSchema, idField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';

/** Somebody does not work here any more: their account ends with every session and link of theirs; what they did keeps their name. */
const leave = defineOperation({
  label: 'that somebody has left',
  inLog: 'forLeads',
  governs: 'everything',
  roles: ['lead'],
  schema: argsSchema({ personId: idField<PersonId>() }),
  reads: ({ personId }) => [rowNamed('people', personId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { personId }, { person, at }) => {
    if (personId === person.id) return refuse('not_yourself', {}, 'personId');
    const leaving = await records.get('people', personId);
    if (leaving === undefined) return refuse('not_found', { what: 'person' }, 'personId');
    if (leaving.leftAt !== undefined) return accepted;
    const { isResponsibleForAll: _, ...rest } = leaving;
    await records.put('people', { ...rest, roles: [], leftAt: at });
    return accepted;
  },
});

export const peopleOperations = { 'person.leave': leave };
