import { readNumber } from '../../words/read-number';
import { keyOf, typed } from './keypad';

describe('numbers on the keypad', () => {
  it('are typed on a keyboard too, but not into it what is typed into a field', () => {
    const key = (name: string, more: Partial<KeyboardEvent> = {}) => keyOf({ key: name, ...more } as KeyboardEvent);
    expect(['7', 'Backspace', ',', '.', '-', 'a', 'Enter'].map((each) => key(each))).toEqual([
      '7',
      'erase',
      '.',
      '.',
      '±',
      null,
      null,
    ]);
    expect([key('7', { ctrlKey: true }), key('7', { target: document.createElement('input') })]).toEqual([null, null]);
  });

  it('are typed key by key', () => {
    expect(['7', '3', '.', '.', '5', 'erase', '4', '±'].reduce(typed, '')).toBe('-73.4');
    expect(typed('123456789012', '3')).toBe('123456789012');
  });

  it.each([
    ['', null],
    ['-', null],
    ['.', null],
    ['7.', 7],
    ['.5', 0.5],
    ['-3.2', -3.2],
  ])('%j is %p', (text, value) => {
    expect(readNumber(text)).toBe(value);
  });
});
