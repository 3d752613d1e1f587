import { chipsAmong } from './filter-line';
import { everything, type AspectChoices } from './narrowing';

const choice = (value: string, count: number) => ({ value, word: value, count });
const among: AspectChoices[] = [
  { aspect: 'time', word: 'When', choices: [choice('late', 2), choice('today', 0), choice('2026-11-25', 1)] },
  { aspect: 'trade', word: 'Trade', choices: [choice('electrical', 1), choice('mechanical', 4)] },
  { aspect: 'state', word: 'State', choices: [choice('held', 1)] },
];
const values = (narrowing = everything): string[] => chipsAmong(among, narrowing).map(({ value }) => value);

describe('the line of filters', () => {
  it('has the likeliest that leave some rows, those that leave most first', () => {
    expect(values()).toEqual(['late', 'mechanical', 'electrical']);
  });

  it('begins with what is on, also what is not among the likeliest or leaves nothing', () => {
    expect(values({ ...everything, state: ['held'], time: ['today'] })).toEqual([
      'today',
      'held',
      'late',
      'mechanical',
      'electrical',
    ]);
  });
});
