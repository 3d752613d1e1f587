import { defineError } from '../../../kernel/errors/catalogue';

export const issueErrors = {
  returned_more_than_handed_out: defineError(
    409,
    (v) => `Only ${v['taken']} ${v['unit']} of this hand-out are left to come back.`,
  ),
};

type IssueErrors = typeof issueErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends IssueErrors {}
}
