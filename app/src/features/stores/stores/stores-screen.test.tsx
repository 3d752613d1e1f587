import { act } from '@testing-library/react';
import { asId, type BinId, type PartId, type SiteId, type StoreId } from '@oilcan/core/kernel';
import { stockLevelId } from '@oilcan/core/stores/stock';
import { aBin, aLevel, ann, aPart, otherSite, partId, put, site, smallWorks, aSite } from '@oilcan/core/testing';
import { saveFile } from '../../../data/browser/save-file';
import { canPress, press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { useSiteChoice } from '../../frame/page/use-site';
import { findParts, partsInBin, partsOf } from '../choose-part';
import { StoresScreen } from './stores-screen';

jest.mock('../../../data/browser/save-file', () => ({ saveFile: jest.fn() }));

const oil = aPart({ id: asId<PartId>('oil'), number: 'OIL-220', name: 'Gear oil', unit: 'L' });
const farBin = aBin({ id: asId<BinId>('far'), label: 'X-01', siteId: otherSite, storeId: asId<StoreId>('far-store') });
const rows = [
  ...smallWorks(),
  put('stores', { id: asId<StoreId>('store'), siteId: site, name: 'Base store' }),
  put('stores', { id: asId<StoreId>('far-store'), siteId: otherSite, name: 'Valley store' }),
  put('sites', aSite({ id: otherSite, name: 'Valley' })),
  put('parts', oil),
  put('bins', farBin),
  put(
    'stock',
    aLevel(500, {
      id: stockLevelId(oil.id, farBin.id),
      siteId: otherSite,
      partId: oil.id,
      binId: farBin.id,
      lowLevel: 2_000,
    }),
  ),
];

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(rows, { ...ann, siteIds: [site, otherSite] as SiteId[] });
  await works.show(<StoresScreen />);
});
afterEach(() => works.close());

describe('the stores', () => {
  it('show every part with its bins, and how many bins are low', async () => {
    expect(words()).toContain('1 bin is low');
    expect(words()).toMatch(/Gear oilOIL-220 · .*per L0.5 L in X-01.*SealSEAL-70.*8 pcs in C-04/);
  });

  it('show only what is low when asked, until something is looked for', async () => {
    expect(words()).toContain('0.5 L in X-01, low');
    await press('Only what is low', 'checkbox');
    expect([words().includes('SEAL-70'), words().includes('OIL-220')]).toEqual([false, true]);
    await type('Find a part or a bin', 'seal');
    expect([words().includes('SEAL-70'), words().includes('OIL-220')]).toEqual([true, false]);
  });

  it('find by number, name and bin', async () => {
    await type('Find a part or a bin', 'seal');
    expect([words().includes('SEAL-70'), words().includes('OIL-220')]).toEqual([true, false]);
    await type('Find a part or a bin', ' x-01 ');
    expect([words().includes('SEAL-70'), words().includes('OIL-220')]).toEqual([false, true]);
    await type('Find a part or a bin', 'xyz');
    expect(words()).toContain('No part fits “xyz”.');
    await press('Empty it');
    expect([words().includes('SEAL-70'), canPress('Empty it')]).toEqual([true, false]);
  });

  it('are of the site that is looked at; what lies elsewhere is found all the same', async () => {
    act(() => useSiteChoice.getState().choose(site));
    await type('Find a part or a bin', '');
    expect([words().includes('No bin is low'), words().includes('OIL-220')]).toEqual([true, false]);
    await type('Find a part or a bin', 'oil');
    expect(words()).toContain('0.5 L in Valley store X-01');
  });
});

describe('the stores on a wide screen', () => {
  it('are a table of what lies in which bin, sorted by any column and saved as CSV', async () => {
    await works.show(<StoresScreen />, { isWide: true });
    expect(words()).toMatch(/C-04Base storeSEAL-70.*X-01Valley storeOIL-220/);
    await press('Part');
    expect(words()).toMatch(/OIL-220.*SEAL-70/);
    await press('Save as CSV');
    const [name, , csv] = jest.mocked(saveFile).mock.calls.at(-1) ?? [];
    expect(name).toBe('stores.csv');
    expect(String(csv)).toMatch(
      /^\uFEFFBin,Store,Number,Part,On hand,Low below,Price,State\r\nX-01,Valley store,OIL-220,/,
    );
  });
});

describe('finding parts', () => {
  const seal = aPart();
  it('takes all words, and puts first whose number begins with the first', () => {
    const named = aPart({ id: asId<PartId>('p'), number: 'A-1', name: 'For SEAL-70' });
    expect(findParts([named, seal], 'seal').map(({ id }) => id)).toEqual([seal.id, named.id]);
    expect(findParts([named, seal], 'seal a-1')).toEqual([named]);
    expect(findParts([named, seal], '  ')).toEqual([]);
  });

  it('knows what lies in a bin, and of which parts there are bins', () => {
    const level = aLevel(0);
    expect(partsInBin('c-04', [aBin()], [level])).toEqual(new Set([partId]));
    expect(partsInBin('c-05', [aBin()], [level])).toEqual(new Set());
    expect(partsOf([level], [seal, oil])).toEqual([seal]);
  });
});
