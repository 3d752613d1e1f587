import type { BinId, PartId } from '@oilcan/core/kernel';
import { stockLevelId } from '@oilcan/core/stores/stock';
import { screen } from '@testing-library/react';
import {
  anAsset,
  aBin,
  aLevel,
  aPart,
  aPastJob,
  aPerson,
  aSite,
  binId,
  otherSite,
  partId,
  put,
  site,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { PartSheet } from './part-sheet';

const oilId = 'oil' as PartId;
const otherBin = 'other-bin' as BinId;
const oil = aPart({ id: oilId, number: 'OIL-220', name: 'Gear oil', unit: 'L', isWhole: false });
const old = aPart({ id: 'old' as PartId, number: 'OLD-1', name: 'Old hose', isObsolete: true, successorId: partId });
const kit = [{ partId, binId, quantity: 2_000, unit: null }];
const rows = [
  ...smallWorks({ kit }),
  put('parts', oil),
  put('parts', old),
  put('bins', aBin({ id: otherBin, label: 'D-07' })),
  put('stock', aLevel(1_000, { id: stockLevelId(partId, otherBin), binId: otherBin })),
  put('stock', aLevel(20_000, { id: stockLevelId(oilId, otherBin), partId: oilId, binId: otherBin })),
];

let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open(rows);
});
afterEach(() => works.close());

const open = () => works.show(<OnWork>{(work) => <PartSheet work={work} onClose={onClose} />}</OnWork>);
const onHand = async (id: PartId = partId, bin: BinId = binId) =>
  (await works.sent()).peek('stock', stockLevelId(id, bin))?.onHand;

describe('the Part sheet', () => {
  it('uses a planned part with one press, as planned', async () => {
    await open();
    expect(words()).toMatch(/Needs 2 pcs · 8 pcs in bin C-04 · also 1 pcs in bin D-07/);
    await press('Use 2 pcs Seal');
    // It stays open for the next part.
    expect([onClose.mock.calls.length, works.said, await onHand()]).toEqual([0, '2 pcs Seal kept.', 6_000]);
    expect(words()).toContain('2 pcs taken');
    await press('That is all');
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  it('takes another amount, from the bin that is chosen', async () => {
    await open();
    await press('Other amount of Seal');
    await press('One more');
    await press('One more');
    await press('One less');
    await press(/C-04: 8 pcs/, 'radio');
    await press('Use 2 pcs');
    expect(await onHand()).toBe(6_000);
  });

  it('says at the amount what cannot be, and keeps nothing', async () => {
    await open();
    await press('Other amount of Seal');
    await type('Amount in pcs', 'two');
    await press(/^Use/);
    expect(words()).toContain('Write an amount, such as 2 or 0.5.');
    expect([onClose.mock.calls.length, await onHand()]).toEqual([0, 8_000]);
  });

  it('asks about far more than is planned and than there is, and keeps it when it is right', async () => {
    await open();
    await press('Other amount of Seal');
    await press(/C-04: 8 pcs/, 'radio');
    await type('Amount in pcs', '40');
    expect(words()).toContain('far more than such jobs take (2 pcs)');
    expect(words()).toContain('By the books the bin holds only 8 pcs.');
    await press('Yes, 40 pcs');
    expect([onClose.mock.calls.length, await onHand()]).toEqual([0, -32_000]);
  });

  it('puts what was not used back, one by a press or any amount', async () => {
    await open();
    await press('Use 2 pcs Seal');
    await press('Put 1 pcs Seal back');
    expect([works.said, await onHand()]).toEqual(['1 pcs Seal put back.', 7_000]);
    await press('Other amount of Seal, put back');
    await type('Amount in pcs', '5');
    await press('Put it back');
    expect(words()).toContain('Only 1 pcs of it were taken on this job.');
    await type('Amount in pcs', '1');
    await press(/D-07/, 'radio');
    await press('Put it back');
    expect(await onHand(partId, otherBin)).toBe(2_000);
  });

  it('says of what has numbers what goes in and what comes out, and that a warranty runs before it is thrown away', async () => {
    await works.close();
    const installation = {
      id: 'old-seal',
      siteId: site,
      assetId: anAsset().id,
      partId,
      serial: 'S-1',
      since: '2026-06-01',
      warrantyUntil: '2027-06-01',
    };
    works = await TestWorks.open([...rows, put('installations', installation)]);
    await open();
    await press('Other amount of Seal');
    await press(/C-04: 8 pcs/, 'radio');
    await type('Serial number of what goes in', 'S-1');
    // One with a number sits there: what becomes of it is asked, and nothing is thrown away by itself.
    expect(words()).toContain('Say what comes out.');
    await press('Nothing', 'radio');
    await press('Use 1 pcs');
    expect(words()).toContain('This serial number is in Gearbox already.');
    await type('Serial number of what goes in', 'S-2');
    await press('S-1', 'radio');
    expect(words()).toContain('It is under warranty until 1 Jun 2027.');
    await press('Scrapped', 'radio');
    expect(words()).toContain('Do not throw it away: it may be replaced for nothing.');
    await press('Goes back under warranty', 'radio');
    await press('Use 1 pcs');
    const records = await works.sent();
    expect(records.peekAll('installations').map(({ serial }) => serial)).toEqual(['S-2']);
    expect(records.peekAll('entries').find(({ content }) => content.kind === 'removal')?.content).toMatchObject({
      serial: 'S-1',
      fate: 'warranty',
    });
  });

  it('finds any part by number or name, and says what replaced one that is no longer bought', async () => {
    await open();
    await type('Find a part: number or name', 'gear');
    await press(/Gear oil.*20 L on hand/);
    await type('Amount in L', '0.5');
    await press('Use 0.5 L');
    expect(await onHand(oilId, otherBin)).toBe(19_500);
    await type('Find a part: number or name', 'old-1');
    await press(/Old hose/);
    expect(words()).toContain('No longer bought. Its successor is SEAL-70, Seal.');
    expect(words()).toContain('No bin holds this part.');
    await press('Take SEAL-70 in its place');
    expect(words()).toContain('C-04: 8 pcs');
    await press('Back to the list');
    await type('Find a part: number or name', 'nothing');
    expect(words()).toContain('No part fits “nothing”.');
  });

  it('offers what such jobs also took and the kit does not have', async () => {
    const used = (id: PartId, quantity: number) => ({ partId: id, quantity });
    const jobs = ['1', '2', '3', '4'].map((id) =>
      aPastJob({
        id: id as never,
        parts: id === '4' ? [used(partId, 1_000)] : [used(partId, 1_000), used(oilId, 3_000)],
      }),
    );
    works.past = JSON.stringify({ recordsSince: jobs[0]?.at, cutAt: null, asOf: jobs[0]?.at, jobs, ofClass: [] });
    await open();
    expect(words()).toContain('Used 3 of 4 times · 20 L in bin D-07');
    expect(words().match(/times/g)).toHaveLength(1);
    await press('Use 3 L Gear oil');
    expect(await onHand(oilId, otherBin)).toBe(17_000);
    // Once used, it is not offered a second time.
    expect(words()).not.toContain('What such jobs also took');
  });

  it('leaves the amount to the person where it is planned in a unit that does not convert', async () => {
    await works.close();
    works = await TestWorks.open([...rows, ...smallWorks({ kit: [{ partId, binId, quantity: 500_000, unit: 'mL' }] })]);
    await open();
    expect(words()).toContain('Needs 500 mL · 8 pcs in bin C-04');
    expect([canPress(/^Use/), canPress('Other amount of Seal')]).toEqual([false, true]);
  });
});

describe('what the job needs', () => {
  const kitOf = async () => (await works.sent()).peek('workOrders', workId)?.kit.map(({ quantity }) => quantity);

  it('is changed and left out with a reason, and the record says so', async () => {
    await open();
    await press('Change how much Seal the job needs');
    await type('Altogether, in pcs', '3');
    await press('Plan this much');
    expect([works.said, await kitOf()]).toEqual(['W-1 needs 3 pcs Seal.', [3_000]]);
    await press('Change how much Seal the job needs');
    await press('It is not needed');
    await press('Leave it out');
    expect(words()).toContain('Write something first.');
    await press('Still good', 'radio');
    await press('Leave it out');
    expect(await kitOf()).toEqual([]);
  });

  it('is added to without taking anything, also before the hazards are read', async () => {
    await works.close();
    works = await TestWorks.open([
      ...rows,
      ...smallWorks({ kit: [], hazards: [{ id: 'rotating', hazard: 'Drive starts', control: 'Lock out' }] }),
    ]);
    await open();
    expect(words()).toContain('Before the hazards are read parts can be planned, and nothing is taken.');
    await type('Find a part: number or name', 'seal-70');
    await press(/SEAL-70/);
    expect(canPress('Use 1 pcs')).toBe(false);
    await press('Only plan it for this job');
    expect([await kitOf(), await onHand()]).toEqual([[1_000], 8_000]);
  });

  it('is scanned: the part itself, or the bin in which it lies', async () => {
    await open();
    await press('Scan a part');
    await type('Or type the code', 'seal-70');
    await press('Take this one');
    await press('Use 2 pcs');
    expect(await onHand()).toBe(6_000);
    await press('Scan a part');
    await type('Or type the code', 'nothing-there');
    await press('Take this one');
    expect(words()).toContain('NOTHING-THERE is on no part and no bin that this phone knows.');
    await press('Close');
    await press('Other amount of Seal');
    // What was taken on this job can go back from here.
    expect(canPress('Put some of 2 pcs back')).toBe(true);
  });
});

describe('parts of other sites and parts on two lines', () => {
  const elsewhere = 'elsewhere' as BinId;
  const unseen = 'unseen' as BinId;
  const there = (bin: BinId) => put('stock', aLevel(90_000, { id: `far-${bin}`, binId: bin, siteId: otherSite }));

  it('offers bins of the job’s site first, says which others are elsewhere, and names no bin “undefined”', async () => {
    await works.close();
    const ofBoth = aPerson({ siteIds: [site, otherSite] });
    const rows = [
      ...smallWorks({ kit: [{ partId, binId: unseen, quantity: 1_000, unit: null }] }),
      put('people', ofBoth),
      put('sites', aSite({ id: otherSite, name: 'Valley' })),
      put('bins', aBin({ id: elsewhere, label: 'V-01', siteId: otherSite })),
      there(elsewhere),
    ];
    works = await TestWorks.open(rows, ofBoth);
    await open();
    expect(words()).toContain('0 pcs in a bin of another site');
    expect(words()).not.toContain('undefined');
    expect(canPress('Use 1 pcs Seal')).toBe(false);
    await press('Other amount of Seal');
    const bins = screen.getAllByRole('radio').map((each) => each.textContent);
    expect(bins).toEqual([expect.stringContaining('C-04: 8 pcs'), expect.stringContaining('V-01, Valley: 90 pcs')]);
  });

  it('keeps two lines of one part apart, each with what was used of it', async () => {
    await works.close();
    const line = { partId, binId, quantity: 1_000, unit: null };
    works = await TestWorks.open(smallWorks({ kit: [line, { ...line, quantity: 2_000 }] }));
    const warned = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    await open();
    await press('Use 1 pcs Seal');
    await open();
    expect(screen.getAllByText(/^Needs/).map((each) => each.textContent)).toEqual([
      'Needs 1 pcs · 1 pcs taken · 7 pcs in bin C-04',
      'Needs 2 pcs · 7 pcs in bin C-04',
    ]);
    expect(warned.mock.calls.filter(([text]) => String(text).includes('same key'))).toEqual([]);
    warned.mockRestore();
  });
});
