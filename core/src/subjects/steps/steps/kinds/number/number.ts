import * as yup from 'yup';
import type { PointId } from '../../../../../kernel/ids';
import { argsSchema, numberField, optionalIdField, textField, wholeField } from '../../../../../kernel/schema/fields';
import { accepted, refuse, type Outcome } from '../../../../../operations/operation';
import type { Limits } from '../../../../plant/plant/plant';
import { LARGEST_READING, type TypedValue } from '../../../readings/reading';
import { plainKind, type StepKind } from '../step-kind';

const LONGEST_UNIT = 20;
const MOST_DECIMALS = 6;

declare module '../step-kind' {
  interface StepQuestions {
    /** With a measuring point it is a reading there; without one it belongs to the job alone, as the temperature of a room does. */
    number: {
      readonly unit: string;
      readonly decimals: number;
      readonly limits: Limits;
      readonly pointId: PointId | null;
    };
  }
  interface StepAnswers {
    /** `typed`: what was typed, where that was in another unit. */
    number: { readonly value: number; readonly typed?: TypedValue };
  }
}

const typedField = yup
  .object({ value: numberField(), unit: textField(LONGEST_UNIT) })
  .noUnknown()
  .strict()
  .optional()
  .default(undefined);

const limit = () => yup.number().strict().defined().nullable();

/** A number with its unit. */
export const number: StepKind<'number'> = {
  ...plainKind,
  picture: null,
  signature: null,
  question: {
    unit: textField(LONGEST_UNIT),
    decimals: wholeField().min(0).max(MOST_DECIMALS),
    limits: argsSchema({ alarmLow: limit(), alertLow: limit(), alertHigh: limit(), alarmHigh: limit() }),
    pointId: optionalIdField<PointId>(),
  },
  answer: { value: numberField(), typed: typedField },
  check: (_question, { value }) => checkSize(value),
  number: ({ value }) => value,
  point: ({ pointId }) => pointId,
  said: ({ unit }, { value }) => `${value} ${unit}`,
};

/** Whether a number can have been read off an instrument. */
export function checkSize(value: number): Outcome {
  return Math.abs(value) > LARGEST_READING ? refuse('reading_out_of_range', {}, 'value') : accepted;
}
