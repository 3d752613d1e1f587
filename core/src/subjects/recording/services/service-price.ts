import { scaleAmount, type Money } from '../../../kernel/money/money';

/** What of an agreed price has arrived: a service that came in part costs what came (common practice). */
export function arrivedPrice(agreed: Money, arrivedPercent: number): Money {
  return scaleAmount([agreed.minor, arrivedPercent], 100, agreed.currency);
}
