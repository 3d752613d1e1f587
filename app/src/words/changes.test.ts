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
      { limit: 'alarm', value: 85, days: 300, soonest: 0, latest: 600 },
    ] as const;
    expect(sayChange({ trend, broken: 'run', reaching }, point)).toEqual([
      'Rises by about 0.1 °C a week.',
      'Reaches its alert of 75 °C in about 12 days (nine in ten: 8 to 19 days).',
      'Reaches its alarm of 85 °C in about 10 months (nine in ten: within 20 months).',
      'The newest values all lie on one side of what was usual, for longer than chance would let them.',
    ]);
    const near = [{ limit: 'alarm', value: 85, days: 0, soonest: 0, latest: 4 }] as const;
    expect(sayChange({ trend: null, broken: null, reaching: near }, point)).toEqual([
      'May stand at its alarm of 85 °C already; nine in ten: within 4 days.',
    ]);
  });

  it('says how slow a change is that can hardly be read', () => {
    const slow = { ...trend, perDay: -0.0001 };
    expect(sayChange({ trend: slow, broken: 'beyond', reaching: [] }, point)).toEqual([
      'Falls by less than 0.1 °C a year.',
      'The newest two values stand out from what was usual.',
    ]);
  });
});
