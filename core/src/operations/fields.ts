import './yup-sentences';
import * as yup from 'yup';
import { asId, type Id } from '../ids/ids';
import { tryParseInstant, type Instant } from '../time/instant';

/** The longest note, in characters. */
export const LONGEST_TEXT = 10_000;
export const LONGEST_LINE = 200;

// Everything below space but tab and line feed, delete, the C1 block, and the marks that turn the writing direction.
// eslint-disable-next-line no-control-regex
const UNSHOWABLE = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u202a-\u202e\u2066-\u2069\ufffe\uffff]/;

/** The name of a row: letters, digits and `-`, at most 64. */
export function idField<I extends Id<string>>(): yup.StringSchema<I> {
  return yup
    .string()
    .strict()
    .required('Say which one is meant.')
    .matches(/^[A-Za-z0-9@._-]{1,64}$/, 'This is not the name of a row.')
    .transform((text: string) => asId<I>(text)) as unknown as yup.StringSchema<I>;
}

/** Text that a person typed: shown as it is, so without characters that cannot be shown. */
export function textField(limit: number = LONGEST_TEXT): yup.StringSchema<string> {
  return yup
    .string()
    .strict()
    .required('Write something first.')
    .test('shown', 'control_characters', (text) => !UNSHOWABLE.test(text ?? ''))
    .test({
      name: 'length',
      message: 'text_too_long',
      params: { limit },
      test: (text) => (text ?? '').length <= limit,
    })
    .test('not blank', 'Write something first.', (text) => (text ?? '').trim() !== '');
}

const NOT_AN_INSTANT = 'Give a time as ISO 8601 with its offset, such as 2026-11-23T14:20:00+01:00.';

/** ISO 8601 with `Z` or an offset. */
export function instantField(): yup.StringSchema<Instant> {
  return yup
    .string()
    .strict()
    .required('Give a time.')
    .test(
      'instant',
      NOT_AN_INSTANT,
      (text) => tryParseInstant(text ?? '') !== undefined,
    ) as unknown as yup.StringSchema<Instant>;
}

/** As `instantField`, or null for none. */
export function optionalInstantField(): yup.Schema<Instant | null> {
  return yup
    .string()
    .strict()
    .defined()
    .nullable()
    .test(
      'instant',
      NOT_AN_INSTANT,
      (text) => text === null || tryParseInstant(text ?? '') !== undefined,
    ) as unknown as yup.Schema<Instant | null>;
}

/** A finite number that fits a row. */
export function numberField(): yup.NumberSchema<number> {
  return yup.number().strict().required('Give a number.').typeError('Give a number.');
}

/** A whole number. */
export function wholeField(): yup.NumberSchema<number> {
  return numberField().integer('Give a whole number.');
}

/** One of the given words. */
export function choiceField<const T extends string>(choices: readonly T[]): yup.StringSchema<T> {
  return yup
    .string()
    .strict()
    .oneOf([...choices], `Choose one of: ${choices.join(', ')}.`)
    .required(`Choose one of: ${choices.join(', ')}.`) as unknown as yup.StringSchema<T>;
}

/** The object that holds an operation's arguments: nothing may be there that is not named. */
export function argsSchema<Shape extends yup.ObjectShape>(shape: Shape) {
  return yup.object(shape).noUnknown().strict().required();
}
