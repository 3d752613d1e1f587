import { defineError } from '../../../kernel/errors/catalogue';

export const goAheadErrors = {
  waits_for_go_ahead: defineError(
    409,
    (v) => `${v['number']} waits until a lead lets it start. If it cannot wait, make it urgent: Now.`,
  ),
};

type GoAheadErrors = typeof goAheadErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends GoAheadErrors {}
}
