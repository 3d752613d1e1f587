import { asId, type AssetId, type WorkOrderId } from '../../../kernel/ids';
import { ann, anAsset, aWorkOrder, binId, bob, lea, noon, partId, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import type { WorkOrder } from '../../orders/work/work-order';
import { digestOf } from './digest';

const onWork = { workOrderId: workId };
const since = minutesLater(10);

function digest(works: Works, me = ann.id) {
  const { records } = works;
  return digestOf({
    me,
    since,
    works: records.peekAll('workOrders'),
    crews: records.peekAll('crews'),
    assets: records.peekAll('assets'),
    levelOf: (id) => records.peek('stock', id),
    entriesOn: (assetId) => records.peekList('entries', 'asset', assetId),
  });
}

const said = (works: Works, me = ann.id): string[] => digest(works, me).map(({ is }) => is);
const both = { state: 'underway' as const, personIds: [ann.id, bob.id] };

describe('what changed while somebody was away', () => {
  it('begins with what was handed over to them, and does not tell what they did themselves', async () => {
    const works = new Works(both);
    const left = { ...onWork, reason: 'shift' as const, note: 'Hub is on, torque is missing' };
    expect(codeOf(await works.do('work.hold', left, bob, minutesLater(20)))).toBe('accepted');
    expect(digest(works)).toMatchObject([{ is: 'handedOver', handOver: { line: left.note, by: bob.id } }]);
    expect(said(works, bob.id)).toEqual([]);
  });

  it('tells of machines that stopped or run again, and not of those that did so before', async () => {
    const works = new Works(both);
    const stopped = { ...onWork, from: minutesLater(15), to: null, extent: 'full', isPlanned: false } as const;
    expect(
      codeOf(await works.do('stoppage.add', { ...stopped, assetId: null, lostPercent: null }, bob, minutesLater(20))),
    ).toBe('accepted');
    expect(digest(works)).toMatchObject([{ is: 'machine', condition: 'stopped' }]);
    works.records.change([
      { table: 'assets', id: 'old', row: anAsset({ id: asId<AssetId>('old'), conditionSince: noon }) },
    ]);
    expect(said(works)).toEqual(['machine']);
  });

  it('tells what others finished and found on machines of open work, and of no others', async () => {
    const other: Partial<WorkOrder> = { state: 'finished', finishedAt: minutesLater(30), finishedBy: bob.id };
    const works = new Works(both);
    const row = aWorkOrder({ ...other, id: asId<WorkOrderId>('w-2'), number: 'W-2', personIds: [bob.id] });
    const elsewhere = { ...row, id: asId<WorkOrderId>('w-3'), number: 'W-3', assetId: asId<AssetId>('far') };
    works.records.change([
      { table: 'workOrders', id: row.id, row },
      { table: 'workOrders', id: elsewhere.id, row: elsewhere },
    ]);
    const fault = { assetId: null, component: 'Seal', mode: 'ELU', mechanism: null, detection: 8 } as const;
    const args = { ...onWork, ...fault, text: '', cause: null, activity: null };
    expect(codeOf(await works.do('fault.add', args, bob, minutesLater(40)))).toBe('accepted');
    expect(said(works)).toEqual(['finished', 'found']);
    expect(said(works, lea.id)).toEqual([]);
  });

  it('tells of parts that came into the bin of a kit', async () => {
    const kit = [{ partId, binId, quantity: 1_000, unit: null }];
    const works = new Works({ ...both, kit });
    const receipt = { partId, binId, quantity: 4_000, unitPriceMinor: 3_800 };
    expect(codeOf(await works.do('stock.receive', receipt, lea, minutesLater(20)))).toBe('accepted');
    expect(digest(works)).toMatchObject([{ is: 'parts', partIds: [partId] }]);
    await works.do('part.use', { ...onWork, partId, binId, quantity: 1_000 }, ann, minutesLater(30));
    expect(digest(works)).toMatchObject([{ is: 'parts', at: minutesLater(20) }]);
  });
});

describe('work that is left for whoever comes next', () => {
  const left = { ...onWork, reason: 'shift' as const, note: ' Half of it is done ' };

  it('needs a line, stops the clock of who leaves it, and shows it first until it is finished', async () => {
    const works = new Works(both);
    await works.do('clock.start', onWork, bob);
    expect(codeOf(await works.do('work.hold', { ...left, note: ' ' }, bob, minutesLater(20)))).toBe('hand_over_empty');
    expect(codeOf(await works.do('work.hold', left, bob, minutesLater(20)))).toBe('accepted');
    expect(works.records.peek('clocks', bob.id)).toBeUndefined();
    expect(works.work).toMatchObject({ state: 'held', handOver: { line: 'Half of it is done', by: bob.id } });
    await works.do('work.resume', onWork, ann, minutesLater(30));
    expect(works.work?.handOver?.line).toBe('Half of it is done');
    await works.do('none.say', { ...onWork, of: 'time' }, ann, minutesLater(40));
    expect(codeOf(await works.do('work.finish', onWork, ann, minutesLater(50)))).toBe('accepted');
    expect(works.work?.handOver).toBeUndefined();
    expect(works.entries.filter(({ content }) => content.kind === 'note')).toHaveLength(1);
  });
});
