import { defineError } from '../../../kernel/errors/catalogue';

export const sharesErrors = {
  share_of_another: defineError(
    403,
    'A share is made, changed and passed on by whoever has it, or by a lead. Ask one of them.',
  ),
  share_steps_taken: defineError(409, 'Each of these steps is in somebody’s share already. Choose others.'),
};

type SharesErrors = typeof sharesErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends SharesErrors {}
}
