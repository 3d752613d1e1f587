import { defineError } from '../../../kernel/errors/catalogue';

export const clockPlaceErrors = {
  place_not_agreed: defineError(403, 'You did not agree that it is noted where your clock starts.'),
};

type ClockPlaceErrors = typeof clockPlaceErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends ClockPlaceErrors {}
}
