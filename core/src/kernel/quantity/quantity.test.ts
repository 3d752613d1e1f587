import fc from 'fast-check';
import { formatQuantity, parseQuantity } from './quantity';

describe('quantities', () => {
  it.each([
    ['2', 2000],
    ['2.5', 2500],
    ['0,25', 250],
    ['.5', 500],
    ['-1.5', -1500],
    ['+3', 3000],
    ['0', 0],
  ])('reads %s as %d thousandths', (text, thousandths) => {
    expect(parseQuantity(text)).toBe(thousandths);
  });

  it.each(['', '.', '-', '1.2345', '1e3', 'two', '1 000', '0x10'])('does not read %j', (text) => {
    expect(parseQuantity(text)).toBeUndefined();
  });

  it('reads back what it writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), (thousandths) => {
        expect(parseQuantity(formatQuantity(thousandths))).toBe(thousandths);
      }),
    );
  });
});
