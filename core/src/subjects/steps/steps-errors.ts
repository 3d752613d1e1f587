import { defineError } from '../../kernel/errors/catalogue';

export const stepsErrors = {
  answer_of_wrong_kind: defineError(400, 'This step wants another kind of answer.'),
};

type StepsErrors = typeof stepsErrors;
declare module '../../kernel/errors/catalogue' {
  interface ErrorCodes extends StepsErrors {}
}
