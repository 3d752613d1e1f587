import { addDays, type LocalDay } from '@oilcan/core/kernel';
import { everything } from './narrowing';
import { allWork, shownToday } from './use-narrowing';

const today = '2026-11-23' as LocalDay;
const late = { narrowing: { ...everything, time: ['late'] }, order: 'due' as const };

describe('what hides rows of the Shift list', () => {
  it('holds on the day on which it was chosen, and only the order from then on', () => {
    expect(shownToday({ shown: late, day: today }, today)).toEqual(late);
    expect(shownToday({ shown: late, day: today }, addDays(today, 1))).toEqual({ ...allWork, order: 'due' });
    expect(shownToday({ shown: late, day: null }, today)).toEqual({ ...allWork, order: 'due' });
  });
});
