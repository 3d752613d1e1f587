import { defineError } from '../../../kernel/errors/catalogue';

export const labelsErrors = {
  code_unreadable: defineError(
    400,
    'This is not a code that a label can have. Scan it again, or type it as it is printed.',
  ),
  code_of_other_kind: defineError(400, (v) => `${v['code']} is the label of a bin or a place, not of a machine.`),
  code_taken: defineError(409, (v) => `The label ${v['code']} belongs to another machine already.`),
  too_many_codes: defineError(
    409,
    (v) => `${v['name']} has ${v['limit']} labels already. Let a lead take one off first.`,
  ),
  too_many_report_labels: defineError(
    409,
    (v) => `${v['limit']} labels to report by are open there already. Let a lead withdraw one first.`,
  ),
  code_bound: defineError(409, (v) => `The label ${v['code']} belongs to ${v['name']} already.`),
};

type LabelsErrors = typeof labelsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends LabelsErrors {}
}
