import { defineError } from '../../../kernel/errors/catalogue';

export const copiesErrors = {
  copies_enough: defineError(
    409,
    (v) => `${v['number']} was sent ${v['most']} times already. Send it on from a mail that arrived.`,
  ),
};

type CopiesErrors = typeof copiesErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends CopiesErrors {}
}
