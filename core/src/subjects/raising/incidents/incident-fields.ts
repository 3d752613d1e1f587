import * as yup from 'yup';
import type { PersonId } from '../../../kernel/ids';
import { choiceField, idListField } from '../../../kernel/schema/fields';
import { incidentCauses, type IncidentCause } from './incident';

const MOST_PRESENT = 50;

/** What led to an incident; empty where that is not said. */
export const causesField = () =>
  yup
    .array()
    .strict()
    .of(choiceField(incidentCauses))
    .required('Give a list, empty for none.')
    .max(incidentCauses.length, 'Name each cause once.') as unknown as yup.Schema<readonly IncidentCause[]>;

/** Who was there, of those with an account. */
export const presentField = () => idListField<PersonId>(MOST_PRESENT, 'Name the people.');
