import { formatDuration, formatMoney, money } from '@oilcan/core/kernel';
import type { Unusual } from '@oilcan/core/finishing/review';
import type { Settings } from '@oilcan/core/orders/settings';
import { peekRow } from '../../../data/store/store';
import { faultWords } from '../../recording/faults/words';
import { counted } from '../../../words/work-words';

/** Why a finished job is worth a closer look, in a sentence. */
export function unusualWords(unusual: Unusual, settings: Settings): string {
  const nameOf = (id: string): string => peekRow('people', id)?.name ?? 'somebody';
  const say = (minor: number): string => formatMoney(money(minor, settings.currency), settings.language);
  switch (unusual.is) {
    case 'overEstimate':
    case 'underEstimate':
      return `${formatDuration(unusual.minutes)} worked, ${formatDuration(unusual.estimateMinutes)} planned`;
    case 'cost':
      return `${say(unusual.minor)}; such jobs usually cost ${say(unusual.usualMinor)}`;
    case 'repeat':
      return `${faultWords(unusual)} again after ${days(unusual.days)}; usually it holds ${days(unusual.usualDays)}`;
    case 'alarm':
    case 'alert': {
      const point = peekRow('points', unusual.pointId);
      return `${point?.name ?? 'A reading'} ${unusual.value} ${point?.unit ?? ''} is beyond its ${unusual.is}, with no further work`;
    }
    case 'answerBeyond':
      return `${unusual.step}: ${unusual.value} ${unusual.unit} is beyond its ${unusual.level}, with no further work`;
    case 'unplannedParts':
      return `Parts that nobody planned: ${unusual.partIds.map((id) => peekRow('parts', id)?.name ?? id).join(', ')}`;
    case 'notCoded':
      return unusual.isMissing ? 'No fault is recorded' : 'A fault lacks its cause or what was done';
    case 'skipped':
      return `${counted(unusual.steps.length, 'step', 'steps')} skipped: ${unusual.steps.join(', ')}`;
    case 'recordedLate':
      return `Time of ${nameOf(unusual.personId)} was written down ${hours(unusual.hours)} later`;
    case 'timeMissing':
      return `The time of ${unusual.personIds.map(nameOf).join(' and ')} is missing`;
  }
}

function days(count: number): string {
  return counted(Math.round(count), 'day', 'days');
}

function hours(count: number): string {
  return count < 48 ? counted(count, 'hour', 'hours') : days(count / 24);
}
