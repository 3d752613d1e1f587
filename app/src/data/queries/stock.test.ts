import { aPart, aLevel, binId, partId, anEntry, aUse } from '@oilcan/core/testing';
import { findParts } from '../../features/stores/choose-part/find-parts';
import { isShort, kitLines } from './stock';

describe('kit', () => {
  it('knows what is planned, used, left and on hand', () => {
    const [line] = kitLines(
      [{ partId, binId, quantity: 3_000, unit: null }],
      [anEntry(aUse(1_000))],
      () => aLevel(500),
      () => aPart(),
    );
    expect(line).toMatchObject({ used: 1_000, left: 2_000, onHand: 500 });
  });

  it('compares in the part’s own unit, and calls nothing short that cannot be compared', () => {
    const lineOf = (quantity: number, unit: string | null, partUnit: string) =>
      kitLines(
        [{ partId, binId, quantity, unit }],
        [],
        () => aLevel(2_000),
        () => aPart({ unit: partUnit }),
      ).map((line) => [line.quantity, line.unit, line.left, isShort(line)])[0];
    expect(lineOf(500_000, 'mL', 'L')).toEqual([500, 'L', 500, false]);
    expect(lineOf(2_500_000, 'mL', 'L')).toEqual([2_500, 'L', 2_500, true]);
    expect(lineOf(500_000, 'mL', 'pcs')).toEqual([500_000, 'mL', null, false]);
  });

  it('finds parts by number first', () => {
    const parts = [
      aPart({ id: '1' as never, number: 'BRG-6204', name: 'Bearing 6204' }),
      aPart({ id: '2' as never, number: 'X-1', name: 'Puller for BRG' }),
    ];
    expect(findParts(parts, 'brg').map(({ number }) => number)).toEqual(['BRG-6204', 'X-1']);
    expect(findParts(parts, ' ')).toEqual([]);
  });
});
