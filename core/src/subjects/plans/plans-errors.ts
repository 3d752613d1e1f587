import { defineError } from '../../kernel/errors/catalogue';

export const plansErrors = {
  planned_work_over: defineError(
    409,
    (v) => `${v['number']} was done or dropped meanwhile. Nothing is left to take along.`,
  ),
};

type PlansErrors = typeof plansErrors;
declare module '../../kernel/errors/catalogue' {
  interface ErrorCodes extends PlansErrors {}
}
