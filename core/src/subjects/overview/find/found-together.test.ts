import { foundTogether } from './found-together';

const row = (id: string, number: string, from = 'phone') => ({ id, number, from });

test('each job stands once, as the phone has it', () => {
  const kept = [row('1', 'W-2571'), row('2', 'W-2572')];
  const there = [row('2', 'W-2572', 'server'), row('3', 'W-1200', 'server')];
  expect(foundTogether(kept, there, 'seal').map(({ id, from }) => `${id} ${from}`)).toEqual([
    '1 phone',
    '2 phone',
    '3 server',
  ]);
});

test.each(['W-1200', 'w1200', '1200'])(
  'the job that is called “%s” stands first, though only the server has it',
  (typed) => {
    const kept = [row('1', 'W-12001'), row('2', 'W-2575')];
    expect(foundTogether(kept, [row('3', 'W-1200', 'server')], typed)[0]?.id).toBe('3');
  },
);

test('several words name no number, and nothing is lost', () => {
  const kept = [row('1', 'W-2575')];
  const there = [row('3', 'W-1200', 'server')];
  expect(foundTogether(kept, there, 'pump 1200').map(({ id }) => id)).toEqual(['1', '3']);
  expect(foundTogether(kept, there, '').map(({ id }) => id)).toEqual(['1', '3']);
});
