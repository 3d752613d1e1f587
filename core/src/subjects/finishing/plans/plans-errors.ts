import { defineError } from '../../../kernel/errors/catalogue';

export const plansErrors = {
  beyond_plan: defineError(
    409,
    (v) => `By its plan it is due again on ${v['day']}. Choose a day before, or ask a lead.`,
  ),
  planned_work_over: defineError(
    409,
    (v) => `${v['number']} was done or dropped meanwhile. Nothing is left to take along.`,
  ),
};

type PlansErrors = typeof plansErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends PlansErrors {}
}
