import fc from 'fast-check';
import { money } from './money';
import { parseMoney, typedMoney } from './parse-money';

describe('an amount that is typed', () => {
  it.each([
    ['12', 'EUR', 1_200],
    ['12.5', 'EUR', 1_250],
    ['12,05', 'EUR', 1_205],
    ['0.009', 'KWD', 9],
    ['300', 'JPY', 300],
  ])('%s %s is so much', (text, currency, minor) => {
    expect(parseMoney(text, currency)).toEqual(money(minor, currency));
  });

  it.each([
    ['12.345', 'EUR'],
    ['1.5', 'JPY'],
    ['-3', 'EUR'],
    ['', 'EUR'],
    ['twelve', 'EUR'],
    ['1 000', 'EUR'],
  ])('%s %s is none', (text, currency) => {
    expect(parseMoney(text, currency)).toBeUndefined();
  });

  it('is read back as it was', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e12 - 1 }), fc.constantFrom('EUR', 'JPY', 'KWD'), (minor, currency) => {
        expect(parseMoney(typedMoney(money(minor, currency)), currency)).toEqual(money(minor, currency));
      }),
    ));
});
