import { aWorkOrder, pointId } from '../../../testing/builders';
import { limitBeyond, openAlarmWork, urgencyOfAlarm } from './alarm-work';

const limits = { alarmLow: 10, alertLow: 20, alertHigh: 75, alarmHigh: 85 };

describe('work that answers an alarm', () => {
  it.each([
    [86, 1, 'shift'],
    [95, 1, 'now'],
    [86, 3, 'week'],
    [95, 3, 'shift'],
    [9, 2, 'shift'],
    [0, 2, 'now'],
    [200, 4, 'week'],
  ] as const)('for %d at a machine of criticality %d is urgent: %s', (value, criticality, urgency) => {
    expect(urgencyOfAlarm(value, limits, criticality)).toBe(urgency);
  });

  it.each([
    [86, 85],
    [80, 75],
    [50, null],
    [15, 20],
    [9, 10],
    [85, 75],
  ])('%d is beyond %s', (value, limit) => {
    expect(limitBeyond(value, limits)).toBe(limit);
  });

  it('is joined as long as it is open, and never that of another point', () => {
    const work = aWorkOrder({ alarmOf: pointId });
    expect(openAlarmWork([aWorkOrder(), work], pointId)).toBe(work);
    expect(openAlarmWork([{ ...work, state: 'accepted' }], pointId)).toBeUndefined();
    expect(openAlarmWork([aWorkOrder()], pointId)).toBeUndefined();
  });
});
