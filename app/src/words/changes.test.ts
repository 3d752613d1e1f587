import { sayChange } from './changes';

const point = { unit: '°C', decimals: 1 };
const trend = { perDay: 0.02, from: 0.01, to: 0.03, atStart: 60, isChanging: true };

describe('whether it is changing, in words', () => {
  it('is nothing where nothing can be said', () => {
    expect(sayChange({ trend: null, broken: null, reaching: [] }, point)).toEqual([]);
  });

  it('is said for a stretch in which it can be read off the instrument, and when it reaches a limit', () => {
    const reaching = [
      { limit: 'alert', value: 75, days: 12, soonest: 8, latest: 19 },
      { limit: 'alarm', value: 85, days: 300, soonest: 90, latest: null },
    ] as const;
    expect(sayChange({ trend, broken: 'run', reaching }, point)).toEqual([
      'Rises by about 0.1 °C a week.',
      'Reaches its alert of 75 °C in about 12 days (8 to 19 days).',
      'Reaches its alarm of 85 °C in about 10 months (not before 3 months).',
      'The newest eight values all lie on one side of what was usual.',
    ]);
  });

  it('says how slow a change is that can hardly be read', () => {
    const slow = { ...trend, perDay: -0.0001 };
    expect(sayChange({ trend: slow, broken: 'beyond', reaching: [] }, point)).toEqual([
      'Falls by less than 0.1 °C a year.',
      'The newest value stands out from what was usual.',
    ]);
  });
});
