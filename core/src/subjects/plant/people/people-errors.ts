import { defineError } from '../../../kernel/errors/catalogue';

export const peopleErrors = {
  not_yourself: defineError(409, 'You cannot do this to yourself. Ask somebody else who is responsible for all.'),
};

type PeopleErrors = typeof peopleErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends PeopleErrors {}
}
