import fc from 'fast-check';
import { asId, type EntryId, type PartId } from '../../../kernel/ids';
import { anEntry, aPart, aUse, binId, partId } from '../../../testing/builders';
import type { KitPart } from '../../orders/work/work-order';
import { kitNeeds, usedIn } from './kit';

const planned = (quantity: number, given: Partial<KitPart> = {}): KitPart => ({
  partId,
  binId,
  quantity,
  unit: null,
  ...given,
});
const needs = (kit: readonly KitPart[], used: number, unit = 'pcs') =>
  kitNeeds(
    kit,
    () => used,
    () => aPart({ unit }),
  );

describe('what a kit still needs', () => {
  it('is what is planned less what was used, in the part’s own unit', () => {
    expect(needs([planned(3_000)], 1_000)).toEqual([
      {
        planned: planned(3_000),
        quantity: 3_000,
        unit: 'pcs',
        used: 1_000,
        left: 2_000,
        exactLeft: { above: 2_000n, below: 1n },
      },
    ]);
    const [oil] = needs([planned(2_500_000, { unit: 'mL' })], 500, 'L');
    expect(oil).toMatchObject({ quantity: 2_500, unit: 'L', used: 500, left: 2_000 });
  });

  it('counts what was used against the lines of its part in their order, and what is over at the last', () => {
    const shown = (used: number) =>
      needs([planned(2_000), planned(3_000)], used).map(({ used: of, left }) => [of, left]);
    expect(shown(1_000)).toEqual([
      [1_000, 1_000],
      [0, 3_000],
    ]);
    expect(shown(3_000)).toEqual([
      [2_000, 0],
      [1_000, 2_000],
    ]);
    expect(shown(7_000)).toEqual([
      [2_000, 0],
      [5_000, 0],
    ]);
  });

  it('compares nothing that does not convert', () => {
    const box = planned(1_000, { unit: 'box' });
    expect(needs([box], 400)).toEqual([
      { planned: box, quantity: 1_000, unit: 'box', used: 400, left: null, exactLeft: null },
    ]);
    expect(needs([planned(500), box], 400).map(({ used, left }) => [used, left])).toEqual([
      [400, 100],
      [0, null],
    ]);
  });

  it('accounts for all that was used, once, whatever the lines', () => {
    const line = fc.record({ quantity: fc.nat(9_000), unit: fc.constantFrom(null, 'pcs', 'box') });
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), fc.nat(30_000), (lines, used) => {
        const all = needs(
          lines.map(({ quantity, unit }) => planned(quantity, { unit })),
          used,
        );
        expect(all.reduce((sum, need) => sum + need.used, 0)).toBe(used);
        for (const { left } of all) expect(left ?? 0).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('reads from a record what stands in it', () => {
    const first = anEntry(aUse(1_000), { id: asId<EntryId>('a') });
    const mended = anEntry(aUse(2_000), { id: asId<EntryId>('b'), amends: first.id });
    const used = usedIn([first, mended, anEntry({ kind: 'note', text: 'Greased' }, { id: asId<EntryId>('c') })]);
    expect([used(partId), used(asId<PartId>('other'))]).toEqual([2_000, 0]);
  });
});
