import fc from 'fast-check';
import { eitherDuration, formatClock, formatDuration, parseDuration, typedDuration } from './duration';

describe('parseDuration', () => {
  it.each(['1:30', '1.5', '1,5', '90m', '1h30', '1.5h', '1,5 h', '90 min', '01:30', '1h30m', ' 1 h 30 ', '1 h 30 min'])(
    'reads %s as 90 minutes',
    (text) => {
      expect(parseDuration(text)).toBe(90);
    },
  );

  // Common practice: a quarter of an hour is 15 minutes.
  it.each([
    ['.25', 15],
    ['0,25', 15],
    ['0.1', 6],
    ['1.333', 80],
    ['8', 480],
    ['2h', 120],
    ['0:05', 5],
    ['0', 0],
  ])('reads %s as %d minutes', (text, minutes) => {
    expect(parseDuration(text)).toBe(minutes);
  });

  it.each([
    '',
    ' ',
    'h',
    '.',
    '1:60',
    '1:5',
    '-1',
    '1e3',
    '1.5.5',
    '90mm',
    'an hour',
    '1h75',
    '12345h',
    '1 5',
    '1 . 5',
    '1: 30',
    '1  h',
    '9 0 m',
    '1 5 h',
  ])('does not read %j', (text) => {
    expect(parseDuration(text)).toBeUndefined();
  });

  it('reads back every whole minute that it writes, in every form', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 24 * 60 }), (minutes) => {
        expect(parseDuration(formatClock(minutes))).toBe(minutes);
        expect(parseDuration(formatDuration(minutes))).toBe(minutes);
        expect(parseDuration(`${minutes}m`)).toBe(minutes);
        // Four decimals of an hour are 0.36 s, well below half a minute.
        expect(parseDuration((minutes / 60).toFixed(4))).toBe(minutes);
      }),
    );
  });
});

describe('a bare number', () => {
  it('is hours up to nine, and asks from ten on', () => {
    expect(['4', '9', '10', '15', '90'].map((text) => [parseDuration(text), eitherDuration(text)])).toEqual([
      [240, null],
      [540, null],
      [undefined, { asMinutes: 10, asHours: 600 }],
      [undefined, { asMinutes: 15, asHours: 900 }],
      [undefined, { asMinutes: 90, asHours: 5400 }],
    ]);
    expect(['15m', '15 h', '1.5', '10,0', '', 'soon', '-15'].map(eitherDuration)).toEqual(Array(7).fill(null));
  });
});

describe('formatDuration', () => {
  it.each([
    [0, '0 min'],
    [45, '45 min'],
    [60, '1 h'],
    [65, '1 h 05'],
    [460, '7 h 40'],
  ])('writes %d minutes as %s', (minutes, text) => {
    expect(formatDuration(minutes)).toBe(text.replaceAll(' ', '\u00a0'));
  });
});

describe('typedDuration', () => {
  it('writes what is read again as the same', () => {
    expect([30, 60, 95].map(typedDuration)).toEqual(['30min', '1h', '1h35']);
    for (let minutes = 1; minutes < 600; minutes += 7) expect(parseDuration(typedDuration(minutes))).toBe(minutes);
  });
});
