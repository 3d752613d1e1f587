import { defineError } from '../kernel/errors/catalogue';

/** Why an operation of any name may be refused. */
export const operationErrors = {
  role_missing: defineError(403, (v) => `Only a ${v['roles']} may do this.`),
  not_responsible_for_all: defineError(
    403,
    'This holds on all sites: only somebody who is responsible for all of them may set it.',
  ),
  not_as_another: defineError(403, 'An operation is taken only from the person who made it.'),
  operation_unknown: defineError(400, (v) => `There is no operation called “${v['name']}”.`),
  operation_id_reused: defineError(409, 'This operation number was already used for something else.'),
  made_too_long_ago: defineError(
    409,
    'By the clock of this phone this was recorded over a year ago. Set the clock right, then record it again.',
  ),
  made_in_future: defineError(
    409,
    'The clock of this phone was set ahead. The right time was told to it; send this again.',
  ),
  not_found: defineError(404, (v) => `This ${v['what']} does not exist, or not on your sites.`),
};

type OperationErrors = typeof operationErrors;
declare module '../kernel/errors/catalogue' {
  interface ErrorCodes extends OperationErrors {}
}
