import * as yup from 'yup';
import { argsSchema, choiceField, textField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { SETTINGS_ID } from '../../orders/settings/settings';
import { catalogueModes, catalogueOf, MOST_CATALOGUE_ROWS, type CatalogueRow } from './catalogue-rows';

const LONGEST_NAME = 80;

/** A lead puts another catalogue of faults in the place of the one there is; none for the one that Oilcan brings. */
const setCatalogue = defineOperation({
  label: 'the catalogue of faults',
  inLog: 'forLeads',
  governs: 'everything',
  roles: ['lead'],
  schema: argsSchema({
    rows: yup
      .array()
      .strict()
      .of(
        argsSchema({
          equipmentClass: textField(LONGEST_NAME),
          component: textField(LONGEST_NAME),
          mode: choiceField(catalogueModes),
        }),
      )
      .required('Give the lines of the catalogue.')
      .max(MOST_CATALOGUE_ROWS, `A catalogue has at most ${MOST_CATALOGUE_ROWS} lines.`) as unknown as yup.Schema<
      readonly CatalogueRow[]
    >,
  }),
  reads: () => [rowNamed('settings', SETTINGS_ID)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { rows }) => {
    const settings = await records.get('settings', SETTINGS_ID);
    if (settings === undefined) return refuse('not_found', { what: 'settings record' });
    const { faultCatalogue: _, ...others } = settings;
    await records.put('settings', rows.length === 0 ? others : { ...others, faultCatalogue: catalogueOf(rows) });
    return accepted;
  },
});

export const catalogueOperations = { 'faults.set-catalogue': setCatalogue };
