import { defineError } from '../../../kernel/errors/catalogue';

export const reportsErrors = {
  report_answered: defineError(409, (v) => `${v['number']} was answered meanwhile. Look at it again.`),
  report_over: defineError(409, (v) => `${v['number']} is closed. Report the problem anew, and say that it came back.`),
  report_full: defineError(409, (v) => `${v['number']} holds as much as it can. Call whoever looks after it.`),
  report_lacks: defineError(422, (v) => `Say this too, it is needed here: ${v['what']}.`),
  not_yours_to_answer: defineError(403, 'On this site only a lead answers reports.'),
};

type ReportsErrors = typeof reportsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends ReportsErrors {}
}
