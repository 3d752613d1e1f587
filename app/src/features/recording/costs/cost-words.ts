import type { WorkCost } from '@oilcan/core/recording/costs';
import { formatDuration, formatSums } from '@oilcan/core/kernel';
import type { Settings } from '@oilcan/core/orders/settings';

/** “2 h · €184.20”; where no rate is known the time stands alone, since nothing was not what it cost. */
export function costWords(cost: WorkCost, { currency, language }: Pick<Settings, 'currency' | 'language'>): string {
  const { laborMinutes, groups, total } = cost;
  const hasCost = total.some(({ minor }) => minor !== 0);
  const time = formatDuration(laborMinutes);
  if (!hasCost)
    return laborMinutes === 0 ? 'No time and no cost yet' : groups.time === null ? time : `${time}, no rate`;
  const isTimeWithoutRate = laborMinutes > 0 && groups.time !== null && groups.time.length === 0;
  return `${time}${isTimeWithoutRate ? ', no rate' : ''} · ${formatSums(total, currency, language)}${groups.time === null ? ' without time' : ''}`;
}
