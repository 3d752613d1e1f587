import { defineError } from '../../../kernel/errors/catalogue';

export const workErrors = {
  day_too_far: defineError(400, 'That is too far ahead. Choose a day within two years.'),
  work_order_not_yours: defineError(
    403,
    (v) => `${v['number']} is not assigned to you or your crew. Ask the lead to add you.`,
  ),
  state_forbids: defineError(409, (v) => `${v['number']} is ${v['state']}; it cannot be ${v['wanted']} now.`),
  work_order_closed: defineError(409, (v) => `${v['number']} is ${v['state']}; nothing more can be recorded on it.`),
  entry_amended_already: defineError(409, 'This entry was amended in the meantime. Amend the newer one.'),
  entry_not_amendable: defineError(409, 'This kind of entry cannot be changed afterwards.'),
  machine_not_of_job: defineError(409, 'This machine is not of this job. Record it on a job of that machine.'),
  entry_of_another: defineError(403, 'Only the person who recorded it, or a lead, may change an entry.'),
};

type WorkErrors = typeof workErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends WorkErrors {}
}
