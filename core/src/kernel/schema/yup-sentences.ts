import { setLocale } from 'yup';

/** What Yup says by itself, in sentences for people. Takes effect for schemas that are made after it was imported. */
setLocale({
  mixed: {
    default: 'This value cannot be taken.',
    required: 'This is needed and missing.',
    defined: 'This is needed and missing.',
    notNull: 'This is needed and missing.',
    notType: ({ type }) => `This must be of the type ${type}.`,
    oneOf: ({ values }) => `This must be one of: ${String(values)}.`,
  },
  string: {
    max: ({ max }) => `At most ${max} characters fit here.`,
    min: ({ min }) => `At least ${min} characters are needed here.`,
    matches: 'This does not have the expected form.',
  },
  number: {
    min: ({ min }) => `This must be ${min} or more.`,
    max: ({ max }) => `This must be ${max} or less.`,
    integer: 'Give a whole number.',
  },
  array: {
    min: ({ min }) => `At least ${min} of these are needed.`,
    max: ({ max }) => `At most ${max} of these can be given.`,
  },
  object: { noUnknown: ({ unknown }) => `There is a field here that nobody knows: ${String(unknown)}.` },
});
