import { addMinutes } from '../../../kernel/time/instant';
import { lea, noon } from '../../../testing/builders';
import { permitStanding } from './permit';

describe('a permit', () => {
  const issued = { number: 'HW-114', by: lea.id, from: noon, until: addMinutes(noon, 480) };
  it.each([
    [-1, 'to come'],
    [0, 'valid'],
    [479, 'valid'],
    [480, 'over'],
  ])('is after %d minutes %s', (minutes, standing) => {
    expect(permitStanding({ issued }, addMinutes(noon, minutes))).toBe(standing);
  });

  it('that nobody has given is missing', () => {
    expect(permitStanding({ issued: null }, noon)).toBe('missing');
  });
});
