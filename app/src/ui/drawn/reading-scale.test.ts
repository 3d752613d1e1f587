import { aPoint, minutesLater } from '@oilcan/core/testing';
import { scaleWords } from './reading-scale';

const limits = { alarmLow: null, alertLow: 40, alertHigh: 70, alarmHigh: 85 };
const latest = [60, 61, 62, 64, 66, 68].map((value, index) => ({ at: minutesLater(index), value }));
const point = aPoint({ unit: '°C', decimals: 0, scale: { from: 0, to: 100 }, limits, latest });

describe('what a scale shows, in words', () => {
  it('is its ends, its limits, the last five values and how what is typed stands', () => {
    expect(scaleWords(point, 72)).toBe(
      'Scale from 0 to 100 °C; alert above 70 °C, alarm above 85 °C, alert below 40 °C; last values 61, 62, 64, 66, 68; 72 °C is beyond alert',
    );
    expect(scaleWords(point, 70)).toContain('70 °C is as it should be');
    expect(scaleWords(point, 86)).toContain('86 °C is beyond alarm');
  });

  it('is little where little is known', () => {
    const bare = { ...point, latest: [], limits: { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null } };
    expect(scaleWords(bare, null)).toBe('Scale from 0 to 100 °C; no value yet');
  });
});
