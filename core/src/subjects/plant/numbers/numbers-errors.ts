import { defineError } from '../../../kernel/errors/catalogue';

export const numbersErrors = {
  number_taken: defineError(409, (v) => `There is a ${v['number']} already. Record it again.`),
};

type NumbersErrors = typeof numbersErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends NumbersErrors {}
}
