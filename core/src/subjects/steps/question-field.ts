import * as yup from 'yup';
import type { PointId } from '../../kernel/ids';
import { argsSchema, choiceField, optionalIdField, textField, wholeField } from '../../kernel/schema/fields';
import type { StepQuestion } from './step';

const LONGEST_UNIT = 20;
const MOST_DECIMALS = 6;

const limitField = () => yup.number().strict().defined().nullable();
const limits = argsSchema({
  alarmLow: limitField(),
  alertLow: limitField(),
  alertHigh: limitField(),
  alarmHigh: limitField(),
});

const questionSchemas = {
  tick: argsSchema({ type: choiceField(['tick']) }),
  verdict: argsSchema({ type: choiceField(['verdict']) }),
  number: argsSchema({
    type: choiceField(['number']),
    unit: textField(LONGEST_UNIT),
    decimals: wholeField().min(0).max(MOST_DECIMALS),
    limits,
    pointId: optionalIdField<PointId>(),
  }),
};

const limit = { type: ['number', 'null'] };
const questionKind = (type: string, properties: object): object => ({
  type: 'object',
  properties: { type: { const: type }, ...properties },
  required: ['type', ...Object.keys(properties)],
  additionalProperties: false,
});
const someQuestion = argsSchema({ type: choiceField(['tick', 'verdict', 'number']) }).meta({
  jsonSchema: {
    oneOf: [
      questionKind('tick', {}),
      questionKind('verdict', {}),
      questionKind('number', {
        unit: { type: 'string', minLength: 1, maxLength: LONGEST_UNIT },
        decimals: { type: 'integer', minimum: 0, maximum: MOST_DECIMALS },
        limits: {
          type: 'object',
          properties: { alarmLow: limit, alertLow: limit, alertHigh: limit, alarmHigh: limit },
          required: ['alarmLow', 'alertLow', 'alertHigh', 'alarmHigh'],
          additionalProperties: false,
        },
        pointId: { type: ['string', 'null'], pattern: '^[A-Za-z0-9@._-]{1,64}$' },
      }),
    ],
  },
});

/** What a step asks for. */
export const questionField = yup.lazy((given: { type?: unknown } | null | undefined) => {
  const type = given?.type;
  return type === 'tick' || type === 'verdict' || type === 'number' ? questionSchemas[type] : someQuestion;
}) as unknown as yup.Schema<StepQuestion>;
