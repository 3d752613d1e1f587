import { defineError } from '../../../kernel/errors/catalogue';

export const stoppagesErrors = {
  stoppage_in_future: defineError(400, 'A stoppage begins and ends now or earlier, not in the future.'),
  stoppage_ends_before: defineError(400, 'It cannot end before it begins. Look at both times.'),
  stoppage_too_old: defineError(400, 'A stoppage of more than a year ago is not recorded any more.'),
};

type StoppagesErrors = typeof stoppagesErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends StoppagesErrors {}
}
