import fc from 'fast-check';
import { convertReading, unitsLike } from './measures';

describe('a reading in another unit', () => {
  it.each([
    // NIST SP 811, appendix B.8 and B.9.
    [1, 'psi', 'kPa', 6.894757],
    [1, 'lbf·ft', 'N·m', 1.355818],
    [1, 'in', 'mm', 25.4],
    [1, 'US gal', 'L', 3.785412],
    [1, 'ft', 'm', 0.3048],
    [1, 'lbf', 'N', 4.448222],
    [100, '°C', '°F', 212],
    [-40, '°F', '°C', -40],
    [0, '°C', 'K', 273.15],
    [98.6, '°F', '°C', 37],
    [1, 'bar', 'kPa', 100],
    [0.1, 'MPa', 'bar', 1],
    [1, 'in/s', 'mm/s', 25.4],
    [1.5, 'GΩ', 'MΩ', 1_500],
  ])('%d %s is %s %d', (value, from, to, expected) => {
    expect(convertReading(value, from, to, 6)).toBe(expected);
  });

  it('is none where the two do not measure the same, or one is not known', () => {
    expect(convertReading(1, 'bar', '°C', 3)).toBeNull();
    expect(convertReading(1, 'bar', '', 3)).toBeNull();
    expect(convertReading(1, 'constructor', 'bar', 3)).toBeNull();
    expect(convertReading(5, 'pcs', 'pcs', 3)).toBe(5);
  });

  it('comes back as it was, there and back', () => {
    const names = ['°C', 'bar', 'mm', 'mm/s', 'N·m', 'kN', 'L', 'MΩ'];
    const pairs = names.flatMap((name) => unitsLike(name).map((other) => [name, other] as const));
    fc.assert(
      fc.property(fc.constantFrom(...pairs), fc.integer({ min: -999_999, max: 999_999 }), ([from, to], thousandths) => {
        const value = thousandths / 1_000;
        const there = convertReading(value, from, to, 12) ?? NaN;
        expect(convertReading(there, to, from, 3)).toBe(value === 0 ? 0 : value);
      }),
    );
  });

  it('is offered in every unit of the same measure, its own first', () => {
    expect(unitsLike('psi')).toEqual(['psi', 'bar', 'mbar', 'kPa', 'MPa']);
    expect(unitsLike('h')).toEqual(['h']);
  });
});
