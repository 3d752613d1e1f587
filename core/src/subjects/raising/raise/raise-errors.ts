import { defineError } from '../../../kernel/errors/catalogue';

export const raiseErrors = {
  not_yours_to_give: defineError(403, 'Only a lead gives work to others. Take it yourself, or leave it to the lead.'),
};

type RaiseErrors = typeof raiseErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends RaiseErrors {}
}
