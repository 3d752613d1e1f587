import type * as yup from 'yup';
import { argsSchema, choiceField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { SETTINGS_ID } from '../../orders/settings/settings';
import { demands, owedThings, type Demands } from '../../orders/work/demands';
import { workKinds } from '../../orders/work/work-order';

/** What is wanted of each thing; every one of them is said. */
const demandsField = argsSchema(
  Object.fromEntries(owedThings.map((thing) => [thing, choiceField(demands)])),
) as unknown as yup.Schema<Demands>;

/** A lead says what finishing waits for and what is asked for, for one kind of work. */
const setDemands = defineOperation({
  label: 'what is owed',
  inLog: 'forLeads',
  governs: 'everything',
  roles: ['lead'],
  schema: argsSchema({ kind: choiceField(workKinds), demands: demandsField }),
  reads: () => [rowNamed('settings', SETTINGS_ID)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { kind, demands: wanted }) => {
    const settings = await records.get('settings', SETTINGS_ID);
    if (settings === undefined) return refuse('not_found', { what: 'settings record' });
    const isMust = (thing: keyof Demands): boolean => wanted[thing] === 'must';
    const rules = { steps: isMust('steps'), time: isMust('time'), codes: isMust('codes') };
    await records.put('settings', {
      ...settings,
      owed: { ...settings.owed, [kind]: rules },
      demands: { ...settings.demands, [kind]: wanted },
    });
    return accepted;
  },
});

export const demandsOperations = { 'owed.set': setDemands };
