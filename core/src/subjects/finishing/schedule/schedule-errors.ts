import { defineError } from '../../../kernel/errors/catalogue';

export const scheduleErrors = {
  put_off_to_the_past: defineError(400, 'Choose a day that has not begun yet.'),
  put_off_needed_now: defineError(409, 'This is needed now and is not put off. Change its urgency first.'),
  put_off_clock_runs: defineError(
    409,
    'The clock of a mate runs on this work. Let them stop it before you put it off.',
  ),
  not_put_off: defineError(409, 'This work is not put off.'),
  schedule_unchanged: defineError(409, 'It is so already.'),
};

type ScheduleErrors = typeof scheduleErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends ScheduleErrors {}
}
