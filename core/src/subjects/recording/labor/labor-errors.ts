import { defineError } from '../../../kernel/errors/catalogue';

export const laborErrors = {
  labor_not_positive: defineError(400, 'Give a time above zero, such as 1:30, 1.5 or 90m.'),
  labor_too_long: defineError(400, 'One entry holds at most 24 h. Split it by day.'),
  labor_too_old: defineError(400, 'This time lies over a year back. Check the date.'),
  labor_in_future: defineError(400, 'This time ends in the future. Give when it really ended, or let the clock run.'),
  clock_not_running: defineError(409, 'Your clock is not running on this work order.'),
  clock_ran_too_long: defineError(409, 'The clock ran for over 24 h. Say when you really stopped.'),
  clock_reason_missing: defineError(400, 'Say why you stop the clock of somebody else.'),
  mate_not_with_you: defineError(
    403,
    'You can start a clock for those who have this work or are in a crew with you. Others start their own.',
  ),
  trade_not_yours_to_choose: defineError(
    403,
    'Time is booked by the trade of its person. Only a lead may choose another.',
  ),
};

type LaborErrors = typeof laborErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends LaborErrors {}
}
