import { eitherDuration, readMoment, type Instant, type Zone } from '@oilcan/core/kernel';

/** How a time of day is written. */
export const TIME_HINT = 'Write the time as 14:20.';

/** How an amount, a number or money is written. */
export const AMOUNT_HINT = 'Write an amount, such as 2 or 0.5.';
export const MONEY_HINT = 'Write an amount, such as 12.50.';

/** Why what was typed is no stretch of time. */
export function durationProblem(typed: string): string {
  const either = eitherDuration(typed);
  return either === null ? 'Write how long as 1:30, 1.5, 90m or 1h30.' : durationQuestion(typed);
}

/** What is asked of a bare number. */
export function durationQuestion(typed: string): string {
  return `${typed.trim()} minutes or ${typed.trim()} hours?`;
}

/** Why what was typed is no moment that has been. */
export function momentProblem(typed: string, present: Instant, zone: Zone): string {
  const read = readMoment(typed, present, zone);
  return read.is === 'notYet' ? notYetQuestion(read.clock) : TIME_HINT;
}

/** What is asked of a time that has not come yet today. */
export function notYetQuestion(clock: string): string {
  return `It is not ${clock} yet. Yesterday?`;
}
