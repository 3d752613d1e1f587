import * as yup from 'yup';
import type { SiteId } from '../../../kernel/ids';
import {
  argsSchema,
  choiceField,
  choiceFieldIfAny,
  flagField,
  idField,
  wholeField,
} from '../../../kernel/schema/fields';
import { accepted, defineOperation, rowNamed } from '../../../operations/operation';
import { demands } from '../work/demands';
import { urgencies, workKinds, type WorkKind } from '../work/work-order';
import {
  publicKnowledge,
  questionsOf,
  reportKinds,
  type Asked,
  type DueWithin,
  type GoAheadRule,
  type RaiseRules,
  type ReportKind,
} from './raise-rules';

/** Nothing that is raised costs more, in the smallest currency unit. */
const MOST_MINOR = 1_000_000_000;

const kindsField = yup
  .array()
  .strict()
  .of(choiceField(workKinds))
  .required('Name the kinds, none for an empty list.')
  .max(workKinds.length, 'Name each kind once.') as unknown as yup.Schema<readonly WorkKind[]>;

const amountIfAny = yup
  .number()
  .strict()
  .integer('Give a whole number.')
  .min(0, 'Give zero or more.')
  .max(MOST_MINOR, 'That is too much.')
  .nullable()
  .defined() as unknown as yup.Schema<number | null>;

/** A year. */
const MOST_HOURS = 365 * 24;

const hours = () =>
  yup
    .number()
    .strict()
    .integer('Give whole hours.')
    .min(1, 'Give at least one hour.')
    .max(MOST_HOURS, 'Give at most a year of hours.')
    .nullable()
    .defined();

const dueWithinIfAny = yup
  .object(Object.fromEntries(urgencies.map((urgency) => [urgency, hours()])))
  .noUnknown()
  .strict()
  .default(undefined)
  .optional() as unknown as yup.Schema<DueWithin | undefined>;

const goAheadField = argsSchema({
  kinds: kindsField,
  aboveMinor: amountIfAny,
  minorPerHour: wholeField().min(0, 'Give zero or more.').max(MOST_MINOR, 'That is too much.'),
}) as unknown as yup.Schema<GoAheadRule>;

const askedField = (kind: ReportKind): yup.Schema<Asked> =>
  argsSchema(
    Object.fromEntries(questionsOf[kind].map((question) => [question, choiceFieldIfAny(demands)])),
  ) as unknown as yup.Schema<Asked>;

/** A lead says how a site takes reports and raised work. */
const setRules = defineOperation({
  label: 'how reports are taken',
  inLog: 'forLeads',
  governs: 'site',
  roles: ['lead'],
  schema: argsSchema({
    siteId: idField<SiteId>(),
    goAhead: goAheadField,
    technicianTakesUp: flagField(),
    takesGuests: flagField(),
    publicKnowledge: choiceField(publicKnowledge),
    asked: argsSchema(Object.fromEntries(reportKinds.map((kind) => [kind, askedField(kind)]))) as unknown as yup.Schema<
      RaiseRules['asked']
    >,
    dueWithin: dueWithinIfAny,
  }),
  reads: ({ siteId }) => [rowNamed('raiseRules', siteId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { siteId, dueWithin, ...rules }) => {
    const before = await records.get('raiseRules', siteId);
    // A phone that does not know of it yet leaves it as it is.
    const due = dueWithin ?? before?.dueWithin;
    await records.put('raiseRules', { id: siteId, siteId, ...rules, ...(due === undefined ? {} : { dueWithin: due }) });
    return accepted;
  },
});

export const raiseRulesOperations = { 'raise-rules.set': setRules };
