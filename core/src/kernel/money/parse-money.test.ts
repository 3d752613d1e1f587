import fc from 'fast-check';
import { currencyPlaces } from './currencies';
import { money } from './money';
import { parseMoney, typedMoney } from './parse-money';

describe('an amount that is typed', () => {
  it.each([
    ['12', 'EUR', 1_200],
    ['12.5', 'EUR', 1_250],
    ['12,05', 'EUR', 1_205],
    ['0.009', 'KWD', 9],
    ['300', 'JPY', 300],
    ['1,500.00', 'EUR', 150_000],
    ['1.500,00', 'EUR', 150_000],
    ['12’345.50', 'CHF', 1_234_550],
    ['1 500', 'EUR', 150_000],
    ['1,234,567', 'EUR', 123_456_700],
    ['1,500', 'KWD', 1_500],
    ['1,500.250', 'KWD', 1_500_250],
    ['1,500', 'JPY', 1_500],
  ])('%s %s is so much', (text, currency, minor) => {
    expect(parseMoney(text, currency)).toEqual(money(minor, currency));
  });

  it.each([
    ['12.345', 'EUR'],
    ['1.5', 'JPY'],
    ['-3', 'EUR'],
    ['', 'EUR'],
    ['twelve', 'EUR'],
    ['1,500', 'EUR'],
    ['1 00', 'EUR'],
    ['1,500.00', 'JPY'],
    ['1,50,000.00', 'EUR'],
  ])('%s %s is none', (text, currency) => {
    expect(parseMoney(text, currency)).toBeUndefined();
  });

  it('is read back as it is written', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e12 - 1 }),
        fc.constantFrom('EUR', 'JPY', 'KWD'),
        fc.constantFrom('en-GB', 'de-AT', 'de-CH', 'fr-FR'),
        (minor, currency, language) => {
          const places = currencyPlaces(currency);
          const written = new Intl.NumberFormat(language, { minimumFractionDigits: places }).format(
            minor / 10 ** places,
          );
          expect(parseMoney(written, currency)?.minor).toBe(minor);
        },
      ),
    ));

  it('is read back as it was', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e12 - 1 }), fc.constantFrom('EUR', 'JPY', 'KWD'), (minor, currency) => {
        expect(parseMoney(typedMoney(money(minor, currency)), currency)).toEqual(money(minor, currency));
      }),
    ));
});
