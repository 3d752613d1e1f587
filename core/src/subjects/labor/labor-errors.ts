import { defineError } from '../../kernel/errors/catalogue';

export const laborErrors = {
  labor_not_positive: defineError(400, 'Give a time above zero, such as 1:30, 1.5 or 90m.'),
  labor_too_long: defineError(400, 'One entry holds at most 24 h. Split it by day.'),
  labor_too_old: defineError(400, 'This time lies over a year back. Check the date.'),
  labor_in_future: defineError(400, 'This time ends in the future. Give when it really ended, or let the clock run.'),
  clock_not_running: defineError(409, 'Your clock is not running on this work order.'),
  clock_ran_too_long: defineError(409, 'The clock ran for over 24 h. Say when you really stopped.'),
};

type LaborErrors = typeof laborErrors;
declare module '../../kernel/errors/catalogue' {
  interface ErrorCodes extends LaborErrors {}
}
