import { argsSchema, numberField, wholeField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';
import { SETTINGS_ID } from '../../orders/settings/settings';

/** A lead says from when on finished work is called unusual. */
const setLimits = defineOperation({
  label: 'what is unusual',
  inLog: 'forLeads',
  governs: 'everything',
  roles: ['lead'],
  schema: argsSchema({
    estimateTimes: numberField().min(1, 'Give at least 1.').max(100, 'That is too much.'),
    minutesOver: wholeField().min(0, 'Give zero or more.').max(10_000, 'That is too much.'),
    unplannedParts: wholeField().min(1, 'Give at least 1.').max(100, 'That is too much.'),
    lateHours: wholeField().min(1, 'Give at least 1.').max(10_000, 'That is too much.'),
    repeatShare: numberField().min(0, 'Give zero or more.').max(1, 'Give at most 1.'),
    costDeviations: numberField().min(0, 'Give zero or more.').max(100, 'That is too much.'),
  }),
  reads: () => [rowNamed('settings', SETTINGS_ID)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, review) => {
    const settings = await records.get('settings', SETTINGS_ID);
    if (settings === undefined) return refuse('not_found', { what: 'settings record' });
    await records.put('settings', { ...settings, review });
    return accepted;
  },
});

export const reviewOperations = { 'review.set-limits': setLimits };
