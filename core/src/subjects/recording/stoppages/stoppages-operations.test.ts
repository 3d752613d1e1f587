import { asId, type AssetId, type EntryId, type OperationId } from '../../../kernel/ids';
import type { ArgsOf } from '../../../registry/operations';
import { anAsset, ann, anOperation, assetId, bob, lea, noon, otherSite, put, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';

const onWork = { workOrderId: workId };
const stopped = (given: Partial<ArgsOf<'stoppage.add'>> = {}): ArgsOf<'stoppage.add'> => ({
  ...onWork,
  assetId: null,
  from: minutesLater(-30),
  to: null,
  extent: 'full',
  lostPercent: null,
  isPlanned: false,
  ...given,
});
const machine = (works: Works) => works.records.peek('assets', assetId);
const standing = (works: Works) => currentOf(works.entries, 'stoppage').map(({ content }) => content);

describe('a stoppage', () => {
  it('that lasts marks its machine until it ends', async () => {
    const works = new Works();
    expect(codeOf(await works.do('stoppage.add', stopped()))).toBe('accepted');
    expect(machine(works)).toMatchObject({ condition: 'stopped', conditionSince: minutesLater(-30) });
    const [{ id } = { id: asId<EntryId>('none') }] = currentOf(works.entries, 'stoppage');
    const ended = { ...onWork, entryId: id, to: minutesLater(10) };
    expect(codeOf(await works.do('stoppage.end', ended, ann, minutesLater(10)))).toBe('accepted');
    expect(machine(works)).toMatchObject({ condition: 'running', conditionSince: minutesLater(10), openStoppages: [] });
    expect(standing(works)).toEqual([expect.objectContaining({ from: minutesLater(-30), to: minutesLater(10) })]);
    expect(codeOf(await works.do('stoppage.end', { ...ended, to: minutesLater(11) }, ann, minutesLater(11)))).toBe(
      'accepted',
    );
    expect(standing(works)).toEqual([expect.objectContaining({ to: minutesLater(10) })]);
  });

  it('that has ended gets other times, and one that lasts is ended first', async () => {
    const works = new Works();
    await works.do('stoppage.add', stopped({ to: noon }));
    const entryId = currentOf(works.entries, 'stoppage')[0]?.id ?? asId<EntryId>('none');
    const times = { ...onWork, entryId, from: minutesLater(-60), to: minutesLater(-10) };
    expect(codeOf(await works.do('stoppage.amend', { ...times, to: minutesLater(-70) }))).toBe('stoppage_ends_before');
    expect(codeOf(await works.do('stoppage.amend', { ...times, to: minutesLater(5) }))).toBe('stoppage_in_future');
    expect(codeOf(await works.do('stoppage.amend', times))).toBe('accepted');
    expect(standing(works)).toEqual([
      expect.objectContaining({ from: minutesLater(-60), to: minutesLater(-10), extent: 'full' }),
    ]);
    await works.do('stoppage.add', stopped(), ann, minutesLater(1));
    const lasting = currentOf(works.entries, 'stoppage').find(({ content }) => content.to === null);
    const ofLasting = { ...times, entryId: lasting?.id ?? entryId };
    expect(codeOf(await works.do('stoppage.amend', ofLasting, ann, minutesLater(2)))).toBe('entry_not_amendable');
  });

  it('that has ended changes no machine, and one of several that last leaves the others', async () => {
    const works = new Works();
    await works.do('stoppage.add', stopped({ to: noon }));
    expect(machine(works)?.openStoppages).toBeUndefined();
    await works.do('stoppage.add', stopped({ extent: 'reduced', lostPercent: 25 }), ann, minutesLater(1));
    await works.do('stoppage.add', stopped(), lea, minutesLater(2));
    expect(machine(works)?.condition).toBe('stopped');
    const last = currentOf(works.entries, 'stoppage').find(
      ({ content }) => content.to === null && content.extent === 'full',
    );
    const end = { ...onWork, entryId: last?.id ?? asId<EntryId>('none'), to: minutesLater(5) };
    await works.do('stoppage.end', end, ann, minutesLater(5));
    expect(machine(works)).toMatchObject({ condition: 'reduced', conditionSince: minutesLater(-30) });
    expect(standing(works).find(({ extent }) => extent === 'reduced')?.lostPercent).toBe(25);
  });

  it('is of the machine of the job, or of another one of its site', async () => {
    const works = new Works();
    const [pump, far] = [asId<AssetId>('pump'), asId<AssetId>('far')];
    works.records.change([
      put('assets', anAsset({ id: pump })),
      put('assets', anAsset({ id: far, siteId: otherSite })),
    ]);
    expect(codeOf(await works.do('stoppage.add', stopped({ assetId: pump })))).toBe('accepted');
    expect([works.records.peek('assets', pump)?.condition, machine(works)?.openStoppages]).toEqual([
      'stopped',
      undefined,
    ]);
    expect(codeOf(await works.do('stoppage.add', stopped({ assetId: far })))).toBe('not_found');
  });

  it('lies in the past and ends after it began', async () => {
    const works = new Works();
    const refusals = [
      stopped({ from: minutesLater(5) }),
      stopped({ from: minutesLater(-5), to: minutesLater(5) }),
      stopped({ from: minutesLater(-5), to: minutesLater(-10) }),
      stopped({ from: minutesLater(-400 * 24 * 60) }),
      stopped({ extent: 'reduced', lostPercent: 100 }),
    ];
    const codes: string[] = [];
    for (const refused of refusals) codes.push(codeOf(await works.do('stoppage.add', refused)));
    expect(codes).toEqual([
      'stoppage_in_future',
      'stoppage_in_future',
      'stoppage_ends_before',
      'stoppage_too_old',
      'invalid',
    ]);
  });

  it('taken back leaves no mark on its machine', async () => {
    const works = new Works();
    await works.do('stoppage.add', stopped());
    const [entry] = currentOf(works.entries, 'stoppage');
    const withdrawn = { ...onWork, entryId: entry?.id ?? asId<EntryId>('none'), reason: 'Wrong machine' };
    expect(codeOf(await works.do('entry.withdraw', withdrawn, ann, minutesLater(1)))).toBe('accepted');
    expect([machine(works)?.condition, standing(works)]).toEqual(['running', []]);
  });
});

describe('a machine that runs again', () => {
  it('ends everything by which it stood still, on whatever job it was recorded, and again changes nothing', async () => {
    const works = new Works();
    await works.do('stoppage.add', stopped());
    await works.do('stoppage.add', stopped({ extent: 'reduced' }), lea, minutesLater(1));
    const again = { assetId, at: null };
    // Bob does not have the job; that the machine runs he may say all the same.
    expect(codeOf(await works.do('asset.run-again', again, bob, minutesLater(20)))).toBe('accepted');
    expect(machine(works)).toMatchObject({ condition: 'running', conditionSince: minutesLater(20), openStoppages: [] });
    expect(standing(works).map(({ to }) => to)).toEqual([minutesLater(20), minutesLater(20)]);
    const count = works.entries.length;
    expect(codeOf(await works.do('asset.run-again', again, ann, minutesLater(25)))).toBe('accepted');
    expect(works.entries).toHaveLength(count);
  });

  it('ran not before it stopped, and is one of the person’s sites', async () => {
    const works = new Works();
    await works.do('stoppage.add', stopped());
    const early = { assetId, at: minutesLater(-60) };
    expect(codeOf(await works.do('asset.run-again', early))).toBe('stoppage_ends_before');
    const far = asId<AssetId>('far');
    works.records.change([put('assets', anAsset({ id: far, siteId: otherSite }))]);
    expect(codeOf(await works.do('asset.run-again', { assetId: far, at: null }))).toBe('not_found');
  });

  it('ended by two at once is ended once, when the first of them saw it', async () => {
    const works = new Works();
    await works.do('stoppage.add', stopped());
    const [entry] = currentOf(works.entries, 'stoppage');
    await works.do('asset.run-again', { assetId, at: null }, bob, minutesLater(3));
    const late = anOperation(
      'stoppage.end',
      { ...onWork, entryId: entry?.id ?? asId<EntryId>('none'), to: minutesLater(2) },
      { id: asId<OperationId>('late'), by: ann.id, at: minutesLater(4), knownUntil: noon },
    );
    expect(codeOf(await works.send(late))).toBe('accepted');
    expect(standing(works)).toEqual([expect.objectContaining({ to: minutesLater(2) })]);
  });
});
