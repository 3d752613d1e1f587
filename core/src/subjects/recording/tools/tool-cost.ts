import { scaleAmount, type Money } from '../../../kernel/money/money';

/** What a tool costs for so many minutes at a rate an hour, rounded once to the smallest currency unit. */
export function toolCost(minutes: number, ratePerHour: Money): Money {
  return scaleAmount([ratePerHour.minor, minutes], 60, ratePerHour.currency);
}
