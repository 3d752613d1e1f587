import * as yup from 'yup';
import type { AssetId, PlaceId } from '../../../kernel/ids';
import { argsSchema, optionalIdField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { findWhere } from '../reports/put-report';
import { isLabelKey, LABEL_KEY_LENGTH } from './report-label';

const labelKeyField = () =>
  yup
    .string()
    .strict()
    .required('Give the key of the label.')
    .test('label key', 'This is not the key of a label.', (text) => isLabelKey(text))
    .meta({ jsonSchema: { pattern: `^[0-9A-HJKMNP-TV-Z]{${LABEL_KEY_LENGTH}}$` } });

/** Labels by which people report on one machine, or on one place, that are not withdrawn. */
const MOST_OPEN = 30;

/** A label is printed by which people without an account can report. The device draws its key. */
const openLabel = defineOperation({
  label: 'a label to report by',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({
    key: labelKeyField(),
    assetId: optionalIdField<AssetId>(),
    placeId: optionalIdField<PlaceId>(),
  }),
  reads: ({ assetId, placeId }) => [rowNamed('assets', assetId), rowNamed('places', placeId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { key, ...named }, { person, at }) => {
    const where = await findWhere(records, named, person.siteIds);
    if (!where.ok) return where;
    if ((await records.get('reportLabels', key)) !== undefined) return refuse('code_taken', { code: key }, 'key');
    const { siteId, assetId, placeId } = where.value;
    const there = await (assetId === null
      ? records.list('reportLabels', 'place', placeId)
      : records.list('reportLabels', 'asset', assetId));
    const open = there.filter((label) => label.withdrawn === null && label.assetId === assetId);
    if (open.length >= MOST_OPEN) return refuse('too_many_report_labels', { limit: MOST_OPEN });
    await records.put('reportLabels', { id: key, siteId, assetId, placeId, by: person.id, at, withdrawn: null });
    return accepted;
  },
});

/** A label leads nowhere any more: it was lost, copied, or hangs where it should not. Those of the staff still find the machine by it. */
const withdrawLabel = defineOperation({
  label: 'withdrawing a label',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['lead'],
  schema: argsSchema({ key: labelKeyField() }),
  reads: ({ key }) => [rowNamed('reportLabels', key)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { key }, { person, at }) => {
    const label = await records.get('reportLabels', key);
    if (label === undefined || !person.siteIds.includes(label.siteId))
      return refuse('not_found', { what: 'label' }, 'key');
    if (label.withdrawn === null) await records.put('reportLabels', { ...label, withdrawn: { by: person.id, at } });
    return accepted;
  },
});

export const reportLabelOperations = { 'report-label.open': openLabel, 'report-label.withdraw': withdrawLabel };
