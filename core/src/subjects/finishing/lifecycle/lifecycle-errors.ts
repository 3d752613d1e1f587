import { owedSaid } from './owed-words';
import { defineError } from '../../../kernel/errors/catalogue';

export const lifecycleErrors = {
  handed_back_unseen: defineError(
    409,
    (v) => `${v['number']} was handed back while you had no signal. Read why, then finish it again.`,
  ),
  hand_over_empty: defineError(422, 'Say in one line how far it is and what comes next.'),
  not_finished_owed: defineError(409, (v) => `Not finished: ${owedSaid(v)} still owed.`),
  not_accepted_owed: defineError(409, (v) => `Not accepted: ${owedSaid(v)} still there. Have it seen to first.`),
  done_day_wrong: defineError(400, 'Choose today or a day of the last year on which it was done.'),
  own_work_not_accepted: defineError(
    403,
    (v) => `${v['number']} is your own work. On this site somebody else accepts it.`,
  ),
  not_dropped_owed: defineError(409, (v) => `Not dropped: ${owedSaid(v)} still there. Have it seen to first.`),
};

type LifecycleErrors = typeof lifecycleErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends LifecycleErrors {}
}
