import { levelOf } from './limits';

describe('the level of a reading', () => {
  const limits = { alarmLow: 95, alertLow: 102, alertHigh: 120, alarmHigh: 128 };
  it.each([
    [94.9, 'alarm'],
    [95, 'alert'],
    [101.9, 'alert'],
    [102, 'normal'],
    [120, 'normal'],
    [120.1, 'alert'],
    [128, 'alert'],
    [128.1, 'alarm'],
  ])('%d is %s', (value, level) => {
    expect(levelOf(value, limits)).toBe(level);
  });

  it('is normal where no limits are set', () => {
    expect(levelOf(1e9, { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null })).toBe('normal');
  });
});
