import './yup-sentences';
import * as yup from 'yup';
import { asId, type Id } from '../ids';
import { tryParseInstant, type Instant } from '../time/instant';
import { isLocalDay, type LocalDay } from '../time/local-day';

/** The longest note, in characters. */
export const LONGEST_TEXT = 10_000;
export const LONGEST_LINE = 200;

/**
 * What is not seen and changes what is: everything below space but tab and line feed, delete, the C1 block, the marks that
 * turn the writing direction, what has no width, fillers, variation tags, and halves of a character. The two joiners are
 * part of some scripts and of emoji: they may stand between two characters that are seen, and nowhere else.
 */
const UNSHOWABLE = String.raw`[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u00ad\u061c\u115f\u1160\u17b4\u17b5\u180b-\u180f\u200b\u200e\u200f\u2028-\u202e\u2060-\u206f\u3164\ufeff\uffa0\ufff0-\uffff]|\u034f|[\u{e0000}-\u{e0fff}]|\p{Cs}|(?<![\p{L}\p{M}\p{N}\p{So}\p{Sk}])(?:\u200c|\u200d)|(?:\u200c|\u200d)(?![\p{L}\p{M}\p{N}\p{So}])`;
// eslint-disable-next-line no-misleading-character-class -- each of them is meant by itself
const unshowable = new RegExp(UNSHOWABLE, 'u');

/** The same for JSON Schema: texts in which nothing unseen stands, and those in which something is seen besides. */
const SHOWN_PATTERN = `^(?![\\s\\S]*(?:${UNSHOWABLE}))[\\s\\S]*$`;
const TEXT_PATTERN = `^(?![\\s\\S]*(?:${UNSHOWABLE}))[\\s\\S]*\\S[\\s\\S]*$`;

/** Whether every character of a text is seen as what it is. */
export function isShowable(text: string): boolean {
  return !unshowable.test(text);
}

const ID_FORM = /^[A-Za-z0-9@._-]{1,64}$/;

/** The name of a row: letters, digits and `-`, at most 64. */
export function idField<I extends Id<string>>(): yup.StringSchema<I> {
  return yup
    .string()
    .strict()
    .required('Say which one is meant.')
    .matches(ID_FORM, 'This is not the name of a row.')
    .transform((text: string) => asId<I>(text)) as unknown as yup.StringSchema<I>;
}

/** A text of at most so many characters, each of which is seen as what it is. Every text that a person may type is one. */
function shownText(limit: number): yup.StringSchema<string | undefined> {
  return yup
    .string()
    .strict()
    .test('shown', 'control_characters', (text) => isShowable(text ?? ''))
    .test({
      name: 'length',
      message: 'text_too_long',
      params: { limit },
      test: (text) => (text ?? '').length <= limit,
    });
}

/** Text that a person typed: something must be there. */
export function textField(limit: number = LONGEST_TEXT): yup.StringSchema<string> {
  return shownText(limit)
    .required('Write something first.')
    .test('not blank', 'Write something first.', (text) => (text ?? '').trim() !== '')
    .meta({ jsonSchema: { maxLength: limit, pattern: TEXT_PATTERN } }) as yup.StringSchema<string>;
}

/** Text that a person may leave out: empty then, never missing. */
export function optionalTextField(limit: number = LONGEST_LINE): yup.StringSchema<string> {
  return shownText(limit)
    .defined()
    .meta({ jsonSchema: { maxLength: limit, pattern: SHOWN_PATTERN } }) as yup.StringSchema<string>;
}

/** As `optionalTextField`, on one line: a name or an address, of which nothing may look like two. */
export function oneLineField(limit: number = LONGEST_LINE): yup.StringSchema<string> {
  return optionalTextField(limit).test(
    'one line',
    'Write it on one line.',
    (text) => !/[\n\r\u2028\u2029]/.test(text ?? ''),
  );
}

/** The name of something that is no row, such as a line of a kit list: a short text that people do not type. */
export function keyField(message = 'Say which one is meant.'): yup.StringSchema<string> {
  return shownText(LONGEST_LINE)
    .required(message)
    .meta({
      jsonSchema: { minLength: 1, maxLength: LONGEST_LINE, pattern: SHOWN_PATTERN },
    }) as yup.StringSchema<string>;
}

/** As `keyField`, or null for none. */
export function optionalKeyField(): yup.Schema<string | null> {
  return shownText(LONGEST_LINE)
    .defined()
    .nullable()
    .meta({ jsonSchema: { maxLength: LONGEST_LINE, pattern: SHOWN_PATTERN } }) as yup.Schema<string | null>;
}

/** As `keyField`, or left out where there is none. */
export function keyFieldIfAny(): yup.Schema<string | undefined> {
  return textFieldIfAny();
}

/** As `optionalTextField`, or left out where there is none. */
export function textFieldIfAny(limit: number = LONGEST_LINE): yup.Schema<string | undefined> {
  return shownText(limit)
    .optional()
    .meta({ jsonSchema: { maxLength: limit, pattern: SHOWN_PATTERN } }) as yup.Schema<string | undefined>;
}

/** As `idField`, or null for none. */
export function optionalIdField<I extends Id<string>>(): yup.Schema<I | null> {
  return yup
    .string()
    .strict()
    .defined()
    .nullable()
    .matches(ID_FORM, 'This is not the name of a row.') as unknown as yup.Schema<I | null>;
}

/** As `idField`, or left out where there is none. */
export function idFieldIfAny<I extends Id<string>>(): yup.Schema<I | undefined> {
  return yup.string().strict().optional().matches(ID_FORM, 'This is not the name of a row.') as unknown as yup.Schema<
    I | undefined
  >;
}

/** A list of names of rows, at most so many. */
export function idListField<I extends Id<string>>(limit: number, message = 'Say which ones are meant.') {
  return yup
    .array()
    .strict()
    .of(idField<I>())
    .required(message)
    .max(limit, `At most ${limit} of these can be given.`) as unknown as yup.Schema<readonly I[]>;
}

/** As `idListField`, or left out where there are none. */
export function idListFieldIfAny<I extends Id<string>>(limit: number) {
  return yup
    .array()
    .strict()
    .of(idField<I>())
    .optional()
    .max(limit, `At most ${limit} of these can be given.`) as unknown as yup.Schema<readonly I[] | undefined>;
}

/** A list of any such things, empty for none, at most so many. */
export function listField<Item>(of: yup.Schema<Item>, limit: number): yup.Schema<readonly Item[]> {
  return yup
    .array()
    .strict()
    .of(of as yup.Schema<unknown>)
    .required('Give a list, empty for none.')
    .max(limit, `At most ${limit} of these can be given.`) as unknown as yup.Schema<readonly Item[]>;
}

/** Yes or no. */
export function flagField(): yup.BooleanSchema<boolean> {
  return yup.boolean().strict().required('Say yes or no.');
}

/** As `flagField`, or left out for no. */
export function flagFieldIfAny(): yup.Schema<boolean | undefined> {
  return yup.boolean().strict().optional() as unknown as yup.Schema<boolean | undefined>;
}

const INSTANT_SCHEMA = { format: 'date-time', pattern: '^(19|20|21)\\d\\d-' };
const NOT_AN_INSTANT = 'Give a time as ISO 8601 with its offset, such as 2026-11-23T14:20:00+01:00.';

/** ISO 8601 with `Z` or an offset. */
export function instantField(): yup.StringSchema<Instant> {
  return yup
    .string()
    .strict()
    .required('Give a time.')
    .test('instant', NOT_AN_INSTANT, (text) => tryParseInstant(text ?? '') !== undefined)
    .meta({ jsonSchema: INSTANT_SCHEMA }) as unknown as yup.StringSchema<Instant>;
}

/** As `instantField`, or null for none. */
export function optionalInstantField(): yup.Schema<Instant | null> {
  return yup
    .string()
    .strict()
    .defined()
    .nullable()
    .test('instant', NOT_AN_INSTANT, (text) => text === null || tryParseInstant(text ?? '') !== undefined)
    .meta({ jsonSchema: INSTANT_SCHEMA }) as unknown as yup.Schema<Instant | null>;
}

const DAY_SCHEMA = { format: 'date', pattern: '^(19|20|21)\\d\\d-' };

/** A day on the calendar, `2026-11-23`. */
export function dayField(): yup.StringSchema<LocalDay> {
  return yup
    .string()
    .strict()
    .required('Give a day.')
    .test('day', 'Give a day such as 2026-11-23.', (text) => isLocalDay(text ?? ''))
    .meta({ jsonSchema: DAY_SCHEMA }) as unknown as yup.StringSchema<LocalDay>;
}

/** As `dayField`, or left out where there is none. */
export function dayFieldIfAny(): yup.Schema<LocalDay | undefined> {
  return yup
    .string()
    .strict()
    .optional()
    .test('day', 'Give a day such as 2026-11-23.', (text) => text === undefined || isLocalDay(text))
    .meta({ jsonSchema: DAY_SCHEMA }) as unknown as yup.Schema<LocalDay | undefined>;
}

/** As `dayField`, or null for none. */
export function optionalDayField(): yup.Schema<LocalDay | null> {
  return yup
    .string()
    .strict()
    .defined()
    .nullable()
    .test('day', 'Give a day such as 2026-11-23.', (text) => text === null || isLocalDay(text ?? ''))
    .meta({ jsonSchema: DAY_SCHEMA }) as unknown as yup.Schema<LocalDay | null>;
}

/** A finite number that fits a row. */
export function numberField(): yup.NumberSchema<number> {
  return yup.number().strict().required('Give a number.').typeError('Give a number.');
}

/** A whole number. */
export function wholeField(): yup.NumberSchema<number> {
  return numberField().integer('Give a whole number.');
}

/** The code of a currency, ISO 4217, such as `EUR`. */
export function currencyField(): yup.StringSchema<string> {
  return yup
    .string()
    .strict()
    .required('Give the currency.')
    .matches(/^[A-Z]{3}$/, 'Give the currency by its three letters, such as EUR.');
}

/** One of the given words. */
export function choiceField<const T extends string>(choices: readonly T[]): yup.StringSchema<T> {
  return yup
    .string()
    .strict()
    .oneOf([...choices], `Choose one of: ${choices.join(', ')}.`)
    .required(`Choose one of: ${choices.join(', ')}.`) as unknown as yup.StringSchema<T>;
}

/** As `choiceField`, or left out where there is none. */
export function choiceFieldIfAny<const T extends string>(choices: readonly T[]): yup.Schema<T | undefined> {
  return yup
    .string()
    .strict()
    .optional()
    .oneOf([...choices], `Choose one of: ${choices.join(', ')}.`) as unknown as yup.Schema<T | undefined>;
}

/** The object that holds an operation's arguments: nothing may be there that is not named. */
export function argsSchema<Shape extends yup.ObjectShape>(shape: Shape) {
  return yup.object(shape).noUnknown().strict().required();
}
