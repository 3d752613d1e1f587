import fc from 'fast-check';
import { axisFor } from './axis';

const linesOf = (values: readonly number[], read: number): string[] => {
  const { from, step, steps, decimals } = axisFor(values, read);
  return Array.from({ length: steps + 1 }, (_, index) => (from + index * step).toFixed(decimals));
};

describe('an axis', () => {
  it.each<[readonly number[], number, string]>([
    [[105, 138, 118], 0, '100 110 120 130 140'],
    [[0.12, 0.31], 2, '0.1 0.2 0.3 0.4'],
    [[1.2, 8.9], 1, '0.0 2.5 5.0 7.5 10.0'],
    [[1.2, 8.9], 0, '0 5 10'],
    [[-3, 4], 0, '-4 -2 0 2 4'],
    [[70, 70], 0, '70 71'],
    [[7.1, 7.1], 1, '7.1 7.2'],
    [[18_400, 21_950], 0, '18000 19000 20000 21000 22000'],
  ])('of %j read to %d decimals has round figures: %s', (values, read, lines) => {
    expect(linesOf(values, read).join(' ')).toBe(lines);
  });

  it('holds every value in at most four steps, whatever their size', () => {
    const value = fc.double({ min: -1e6, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(fc.array(value, { minLength: 1, maxLength: 9 }), fc.nat(3), (values, read) => {
        const { from, step, steps } = axisFor(values, read);
        const slack = step * 1e-6;
        expect(steps).toBeLessThanOrEqual(4);
        expect(from).toBeLessThanOrEqual(Math.min(...values) + slack);
        expect(from + steps * step).toBeGreaterThanOrEqual(Math.max(...values) - slack);
      }),
    );
  });
});
