import fc from 'fast-check';
import { formatNumber, isProvisional, parseNumber, provisionalNumber } from './numbers';

describe('a number', () => {
  it('is read back as it was written', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999_999_999_999 }), (number) => {
        const text = formatNumber('workOrder', number);
        expect(parseNumber('workOrder', text)).toBe(number);
        expect(isProvisional(text)).toBe(false);
      }),
    ));

  it.each(['W-0', 'W-012', 'W-', 'P-12', 'W-12a', 'W-1234567890123', '12', 'W--1'])('is not %s', (text) => {
    expect(parseNumber('workOrder', text)).toBeNull();
  });

  it('that is provisional is never taken for a final one', () => {
    const number = provisionalNumber('workOrder', '01930000-0000-7000-8000-00000000a1b2');
    expect([number, isProvisional(number), parseNumber('workOrder', number)]).toEqual(['W-?0A1B2', true, null]);
  });
});
