import * as yup from 'yup';
import { argsSchema, choiceField, numberField } from '../../kernel/schema/fields';
import { outcomes, type StepAnswer } from './step';

const answerSchemas = {
  tick: argsSchema({ type: choiceField(['tick']) }),
  verdict: argsSchema({ type: choiceField(['verdict']), outcome: choiceField(outcomes) }),
  number: argsSchema({ type: choiceField(['number']), value: numberField() }),
};
const noAnswer = yup.mixed().nullable().defined();
const answerKind = (type: string, properties: object) => ({
  type: 'object',
  properties: { type: { const: type }, ...properties },
  required: ['type', ...Object.keys(properties)],
  additionalProperties: false,
});
const someAnswer = argsSchema({ type: choiceField(['tick', 'verdict', 'number']) }).meta({
  jsonSchema: {
    oneOf: [
      { type: 'null' },
      answerKind('tick', {}),
      answerKind('verdict', { outcome: { enum: [...outcomes] } }),
      answerKind('number', { value: { type: 'number' } }),
    ],
  },
});

/** An answer of any kind, or null to take one back. */
export const answerField = yup.lazy((given: { type?: unknown } | null | undefined) => {
  if (given === null) return noAnswer;
  const type = given?.type;
  return type === 'tick' || type === 'verdict' || type === 'number' ? answerSchemas[type] : someAnswer;
}) as unknown as yup.Schema<StepAnswer | null>;
