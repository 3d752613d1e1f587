import type { Limits } from '../../plant/plant/plant';
import { urgencies, type Urgency, type WorkOrder } from '../../orders/work/work-order';
import { isOpen } from '../../orders/work/states';
import type { PointId } from '../../../kernel/ids';

/** How soon an alarm must be answered by what the machine is worth alone, from 1, which stops the works, to 4. */
const byCriticality: Readonly<Record<1 | 2 | 3 | 4, Urgency>> = { 1: 'shift', 2: 'shift', 3: 'week', 4: 'free' };

/**
 * How soon a value beyond its alarm must be answered: by how critical the machine is, and one step sooner where the value is as far
 * beyond the alarm as that is beyond the alert, or further.
 */
export function urgencyOfAlarm(value: number, limits: Limits, criticality: 1 | 2 | 3 | 4): Urgency {
  const urgency = byCriticality[criticality];
  if (!isFarBeyond(value, limits)) return urgency;
  return urgencies[Math.max(0, urgencies.indexOf(urgency) - 1)] ?? urgency;
}

function isFarBeyond(value: number, { alarmLow, alertLow, alertHigh, alarmHigh }: Limits): boolean {
  if (alarmHigh !== null && value > alarmHigh) return alertHigh !== null && value - alarmHigh >= alarmHigh - alertHigh;
  if (alarmLow !== null && value < alarmLow) return alertLow !== null && alarmLow - value >= alertLow - alarmLow;
  return false;
}

/** The limit that a value is beyond: the alarm, else the alert; null where it is beyond none. */
export function limitBeyond(value: number, { alarmLow, alertLow, alertHigh, alarmHigh }: Limits): number | null {
  if (alarmHigh !== null && value > alarmHigh) return alarmHigh;
  if (alarmLow !== null && value < alarmLow) return alarmLow;
  if (alertHigh !== null && value > alertHigh) return alertHigh;
  return alertLow !== null && value < alertLow ? alertLow : null;
}

/** The open work order that answers an alarm of this point already: another value beyond it joins that one. */
export function openAlarmWork(works: readonly WorkOrder[], pointId: PointId): WorkOrder | undefined {
  return works.find(({ alarmOf, state }) => alarmOf === pointId && isOpen(state));
}
