import { addMinutes, parseInstant } from '@oilcan/core/kernel';
import { noon } from '@oilcan/core/testing';
import { sayDue, sayMoment } from './dates';

const zone = 'Europe/Vienna';
const later = (minutes: number) => addMinutes(noon, minutes);

describe('dates as people say them', () => {
  const moment = (text: string) => sayMoment(parseInstant(text), noon, zone, 'en');
  it.each([
    ['2026-11-23T14:20:00+01:00', '14:20'],
    ['2026-11-22T14:20:00+01:00', 'yesterday 14:20'],
    ['2026-11-24T08:00:00+01:00', 'tomorrow 08:00'],
    ['2026-11-26T14:20:00+01:00', 'Thu 14:20'],
    ['2026-10-21T14:20:00+02:00', '21 Oct'],
    ['2025-10-21T14:20:00+02:00', '21 Oct 2025'],
  ])('%s is %s', (text, words) => {
    expect(moment(text)).toBe(words);
  });

  it.each([
    [30, 'today 12:30'],
    [-30, '30 min late'],
    [-180, '3 h late'],
    [-60 * 24, '1 day late'],
    [-60 * 24 * 3, '3 days late'],
  ])('due in %d minutes is %s', (minutes, words) => {
    expect(sayDue(later(minutes), noon, zone, 'en')).toBe(words);
  });
});
