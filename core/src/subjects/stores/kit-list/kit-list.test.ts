import { tables } from '../../../registry/tables';
import fc from 'fast-check';
import { asId, type BinId, type PartId, type PersonId, type StoreId, type WorkOrderId } from '../../../kernel/ids';
import { applyOperation, type ArgsOf, type OperationName } from '../../../registry/operations';
import { type KitListRows, kitListParts, kitListTools } from './kit-list';
import {
  partId,
  aPart,
  aBin,
  site,
  aLevel,
  aWorkOrder,
  smallWorks,
  ann,
  anOperation,
  noon,
  bob,
} from '../../../testing/builders';
import type { KitPart } from '../../orders/work/work-order';
import { convertQuantity } from '../../../kernel/quantity/units';
import { MemoryRecords } from '../../../records/memory-records';
import type { Person } from '../../plant/people/people';
import { sideAt } from '../../../testing/works';

const oil = asId<PartId>('oil');
const [c4, c10, far] = [asId<BinId>('c4'), asId<BinId>('c10'), asId<BinId>('far')];
const [base, mid] = [asId<StoreId>('base'), asId<StoreId>('mid')];

const rows: KitListRows = {
  parts: new Map([
    [partId, aPart()],
    [oil, aPart({ id: oil, number: 'OIL', unit: 'L', isWhole: false })],
  ]),
  bins: new Map([
    [c4, aBin({ id: c4, label: 'C-4', storeId: base })],
    [c10, aBin({ id: c10, label: 'C-10', storeId: base })],
    [far, aBin({ id: far, label: 'A-1', storeId: mid })],
  ]),
  stores: new Map([
    [base, { id: base, siteId: site, name: 'Base' }],
    [mid, { id: mid, siteId: site, name: 'Mid' }],
  ]),
  levels: [
    aLevel(3_000, { id: 'a', partId, binId: c10 }),
    aLevel(9_000, { id: 'b', partId, binId: far }),
    aLevel(2_000, { id: 'c', partId: oil, binId: c4 }),
  ],
  usedOf: () => 0,
};
let count = 0;
const job = (kit: readonly Partial<KitPart>[], tools: { name: string; count: number }[] = []) => {
  count += 1;
  return aWorkOrder({
    id: asId<WorkOrderId>(`w-${count}`),
    kit: kit.map((part) => ({ partId, binId: c10, quantity: 1_000, unit: null, ...part })),
    tools,
  });
};

describe('units', () => {
  // NIST SP 811: 1 in = 25.4 mm, 1 US gal = 231 in³ = 3.785411784 L, 1 lb = 0.45359237 kg, all exactly.
  it.each([
    [500, 'mL', 'L', 1],
    [1_500_000, 'mL', 'L', 1_500],
    [1_000, 'US gal', 'L', 3_785],
    [1_000, 'in', 'mm', 25_400],
    [2_000, 'lb', 'kg', 907],
    // 10⁹ thousandths show the gallon's last digits; exact halves go away from zero.
    [1_000_000_000, 'US gal', 'L', 3_785_411_784],
    [145, 'mL', 'cL', 15],
    [-145, 'mL', 'cL', -15],
    [6, 'in', 'ft', 1],
    [1_000, 'm', 'L', null],
    [1_000, 'box', 'pcs', null],
    [1_000, 'box', 'box', 1_000],
    [1_000, 'constructor', 'L', null],
  ])('%d thousandths of %s in %s are %s', (quantity, from, to, expected) => {
    expect(convertQuantity(quantity, from, to)).toBe(expected);
  });
});

describe('a kit list', () => {
  it('adds up what the jobs need of a part, in its own unit', () => {
    const works = [
      job([{ quantity: 1_000 }, { partId: oil, binId: c4, quantity: 1_250_000, unit: 'mL' }]),
      job([{ quantity: 1_000 }, { partId: oil, binId: c4, quantity: 500 }]),
    ];
    const lines = kitListParts(works, rows);
    expect(
      lines.map(({ partId: part, needed, unit, workOrderIds }) => [part, needed, unit, workOrderIds.length]),
    ).toEqual([
      [oil, 1_750, 'L', 2],
      [partId, 2_000, 'pcs', 2],
    ]);
  });

  it('never adds what does not convert: it stands apart, and nothing is said of its stock', () => {
    const lines = kitListParts([job([{}, { unit: 'box' }])], rows);
    expect(lines.map(({ needed, unit, onHand }) => [needed, unit, onHand])).toEqual([
      [1_000, 'box', null],
      [1_000, 'pcs', 3_000],
    ]);
  });

  it('puts short ones first, with where else there is some, then goes by store and bin as one walks', () => {
    const lines = kitListParts([job([{ binId: far }, { quantity: 5_000 }, { partId: oil, binId: c4 }])], rows);
    expect(lines.map(({ binId, short }) => [binId, short])).toEqual([
      [c10, 2_000],
      [c4, 0],
      [far, 0],
    ]);
    expect(lines[0]?.elsewhere).toEqual([{ binId: far, onHand: 9_000 }]);
  });

  it('leaves out what was used already', () => {
    const used = { ...rows, usedOf: () => 600 };
    expect(kitListParts([job([{ quantity: 1_000 }])], used).map(({ needed }) => needed)).toEqual([400]);
    expect(kitListParts([job([{ quantity: 500 }])], used)).toEqual([]);
  });

  it('needs the same whatever the order of the jobs', () => {
    const amounts = fc.array(fc.integer({ min: 1, max: 20_000 }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(amounts, (quantities) => {
        const works = quantities.map((quantity) => job([{ quantity }]));
        const total = (some: typeof works): number =>
          kitListParts(some, rows).reduce((sum, { needed }) => sum + needed, 0);
        expect(total(works)).toBe(quantities.reduce((sum, quantity) => sum + quantity, 0));
        expect(total(works.toReversed())).toBe(total(works));
      }),
    );
  });

  it('adds up before it rounds: three times 0.4 mL of a part in litres is not nothing', () => {
    const drop = { partId: oil, binId: c4, quantity: 400, unit: 'mL' };
    expect(kitListParts([job([drop]), job([drop]), job([drop])], rows).map(({ needed }) => needed)).toEqual([1]);
    expect(kitListParts([job([drop, drop, drop])], rows).map(({ needed }) => needed)).toEqual([1]);
  });

  it('walks through one store before the next, whatever their names', () => {
    const [two, b2] = [asId<StoreId>('two'), asId<BinId>('b2')];
    const named = {
      ...rows,
      bins: new Map([...rows.bins, [b2, aBin({ id: b2, label: '1', storeId: two })]]),
      stores: new Map([
        [base, { id: base, siteId: site, name: 'Store' }],
        [two, { id: two, siteId: site, name: 'Store 2' }],
      ]),
      levels: [...rows.levels, aLevel(9_000, { id: 'd', binId: b2 })],
    };
    const lines = kitListParts([job([{ binId: b2 }, { binId: c10 }, { partId: oil, binId: c4 }])], named);
    expect(lines.map(({ binId }) => binId)).toEqual([c4, c10, b2]);
  });

  it('needs a tool that one job lists twice as often as both lines say', () => {
    const twice = job(
      [],
      [
        { name: 'Chain hoist', count: 1 },
        { name: 'chain hoist', count: 2 },
      ],
    );
    expect(kitListTools([twice, job([], [{ name: 'Chain hoist', count: 2 }])]).map(({ count: of }) => of)).toEqual([3]);
  });

  it('takes a tool along as often as one job needs it', () => {
    const works = [job([], [{ name: 'Torque wrench', count: 1 }]), job([], [{ name: 'torque wrench ', count: 2 }])];
    expect(kitListTools(works).map(({ name, count: of }) => [name, of])).toEqual([['Torque wrench', 2]]);
  });
});

describe('the kit list of a person', () => {
  const records = new MemoryRecords(tables);
  records.change(smallWorks());
  const run = async <N extends OperationName>(name: N, args: ArgsOf<N>, who: Person = ann): Promise<string> => {
    const operation = anOperation(name, args, { by: who.id });
    const { outcome, changes } = await applyOperation(records, operation, who, sideAt(noon));
    records.change(changes);
    return outcome.ok ? 'accepted' : outcome.code;
  };
  const tick = (isIn: boolean, who: Person) => run('kit-list.tick', { ownerId: ann.id, line: 'a@b@pcs', isIn }, who);

  it('is chosen, ticked, shared with a mate who ticks too, and taken back', async () => {
    const workOrderIds = [asId<WorkOrderId>('w-1'), asId<WorkOrderId>('w-1')];
    await run('kit-list.choose', { workOrderIds });
    expect((await records.get('kitLists', ann.id))?.workOrderIds).toEqual(['w-1']);
    expect(await tick(true, bob)).toBe('kit_list_of_another');
    await run('kit-list.share', { personId: bob.id, isShared: true });
    expect(await tick(true, bob)).toBe('accepted');
    // The first to put it into the bag stays the one who did.
    await tick(true, ann);
    expect((await records.get('kitLists', ann.id))?.inBag).toEqual({ 'a@b@pcs': { by: bob.id, at: noon } });
    await tick(false, ann);
    expect((await records.get('kitLists', ann.id))?.inBag).toEqual({});
    await run('kit-list.share', { personId: bob.id, isShared: false });
    expect(await tick(true, bob)).toBe('kit_list_of_another');
    expect(await run('kit-list.share', { personId: asId<PersonId>('nobody'), isShared: true })).toBe('not_found');
  });
});
