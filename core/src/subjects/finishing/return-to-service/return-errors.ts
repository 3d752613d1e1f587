import { defineError } from '../../../kernel/errors/catalogue';

export const returnErrors = {
  signed_other_record: defineError(
    409,
    'The record is not what was signed for. Look at it again and have it signed anew.',
  ),
};

type ReturnErrors = typeof returnErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends ReturnErrors {}
}
