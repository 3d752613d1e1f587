import { defineError } from '../../../kernel/errors/catalogue';

export const roundsErrors = {
  stop_not_an_end: defineError(409, 'A round is turned around at one of its ends: begin with its last stop.'),
};

type RoundsErrors = typeof roundsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends RoundsErrors {}
}
