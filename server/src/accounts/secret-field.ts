import * as yup from 'yup';

const LONGEST_SECRET = 256;

/** A password as it is typed. */
export const secretField = (what: string) =>
  yup
    .string()
    .strict()
    .required(what)
    .min(1, what)
    .max(LONGEST_SECRET, `A password has at most ${LONGEST_SECRET} characters.`);
