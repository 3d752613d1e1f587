import { textOf, valuesWith } from './form-draft';

const own = { note: '', reason: 'part', ids: [] as readonly string[], centre: null as string | null };
const hours = (count: number) => count * 3_600_000;

describe('a form that was closed half-typed', () => {
  it('keeps only what differs from its own values, and finds that again for a day', () => {
    const typed = { ...own, note: 'Seal is', ids: ['a'], centre: '4711' };
    const text = textOf(own, typed, [], 0);
    expect(JSON.parse(text)).toEqual({ at: 0, values: { note: 'Seal is', ids: ['a'], centre: '4711' } });
    expect(valuesWith(own, text, hours(24))).toEqual(typed);
    expect(valuesWith(own, text, hours(24) + 1)).toEqual(own);
    // What is its own by now, such as the hours of today, is not covered by what it once was.
    expect(valuesWith({ ...own, reason: 'tool' }, text, 0).reason).toBe('tool');
  });

  it('keeps nothing where nothing was typed, and never what is not to be kept', () => {
    expect(textOf(own, { ...own }, [], 0)).toBe('');
    expect(textOf(own, { ...own, note: 'drawn' }, ['note'], 0)).toBe('');
  });

  it.each([
    ['nothing', ''],
    ['no JSON', '{'],
    ['another thing', '[1]'],
    ['no time', '{"values":{"note":"x"}}'],
    ['values of another kind', JSON.stringify({ at: 0, values: { note: 5, ids: 'a', reason: ['x'], gone: 'y' } })],
  ])('begins with its own values where what is kept is %s', (_, text) => {
    expect(valuesWith(own, text, 0)).toEqual(own);
  });
});
