import fc from 'fast-check';
import { formatMoney, money, scaleMoney, sumMoney } from './money';

const euros = (minor: number) => money(minor, 'EUR');

describe('money', () => {
  it('is never a fraction of a cent', () => {
    expect(() => euros(0.5)).toThrow();
    expect(() => euros(Number.MAX_SAFE_INTEGER + 1)).toThrow();
  });

  it('adds exactly, in any order', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -1e9, max: 1e9 }), { maxLength: 50 }), (minors) => {
        const forward = sumMoney(minors.map(euros), 'EUR');
        expect(forward).toEqual(sumMoney([...minors].reverse().map(euros), 'EUR'));
        expect(forward.minor).toBe(minors.reduce((sum, minor) => sum + minor, 0));
      }),
    );
  });

  it('does not add two currencies', () => {
    expect(() => sumMoney([money(1, 'CHF')], 'EUR')).toThrow('currencies_differ');
  });

  it.each([
    [5_400, 90, 60, 8_100],
    [5_400, 1, 60, 90],
    [100, 1, 3, 33],
    [100, 2, 3, 67],
    [1, 1, 2, 1],
    [-1, 1, 2, -1],
  ])('%d cents times %d / %d is %d cents', (minor, numerator, denominator, expected) => {
    expect(scaleMoney(euros(minor), numerator, denominator).minor).toBe(expected);
  });

  it('rounds to the nearest cent for any size, as whole numbers without limit do', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e12 }), fc.integer({ min: 0, max: 1440 }), (minor, minutes) => {
        const exact = (BigInt(minor) * BigInt(minutes) * 2n + 60n) / 120n;
        fc.pre(exact <= BigInt(Number.MAX_SAFE_INTEGER));
        expect(scaleMoney(euros(minor), minutes, 60).minor).toBe(Number(exact));
      }),
    );
  });

  it('is written with its currency', () => {
    expect(formatMoney(euros(9_640), 'en')).toBe('€96.40');
    expect(formatMoney(money(500, 'JPY'), 'en')).toBe('¥500');
  });
});
