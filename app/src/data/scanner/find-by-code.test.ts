import { asId, type AssetId, type BinId, type PlaceId, type StoreId } from '@oilcan/core/kernel';
import { aBin, anAsset, ann, aPart, aReportLabel, aWorkOrder, noon, site } from '@oilcan/core/testing';
import { findByCode } from './find-by-code';

const pump = anAsset({ id: asId<AssetId>('pump'), tag: 'Pmp-2', name: 'Pump' });
const gearbox = anAsset({ tag: 'LRK-G1' });
const store = { id: asId<StoreId>('store'), siteId: site, name: 'Base store' };
const rows = {
  reportLabels: [aReportLabel({ assetId: pump.id })],
  codes: [{ id: 'MAKER 77', siteId: site, assetId: pump.id, by: ann.id, at: noon, previous: [] }],
  assets: [gearbox, pump],
  places: [{ id: asId<PlaceId>('drive-room'), siteId: site, parentId: null, name: 'Drive room' }],
  works: [aWorkOrder({ number: 'W-2417' })],
  parts: [aPart({ number: 'Seal-70' })],
  bins: [aBin({ id: asId<BinId>('bin'), storeId: store.id, label: 'C-04' })],
  stores: [store],
};
const find = (code: string): string => {
  const found = findByCode(code, rows);
  switch (found?.is) {
    case 'asset':
      return found.asset.name;
    case 'work':
      return found.work.number;
    case 'part':
      return found.part.number;
    case 'bin':
      return found.bin.label;
    case 'place':
      return found.place.name;
    default:
      return 'nothing';
  }
};

describe('what a code leads to', () => {
  it('is the machine it was bound to, else what has it as its tag or number', () => {
    expect(
      ['MAKER 77', 'PMP-2', 'LRK-G1', 'W-2417', 'SEAL-70', 'BIN:BASE STORE:C-04', 'PLACE:DRIVE-ROOM', 'X'].map(find),
    ).toEqual(['Pump', 'Pump', 'Gearbox', 'W-2417', 'Seal-70', 'C-04', 'Drive room', 'nothing']);
  });

  it('is the machine of a label by which everybody may report', () => {
    expect(find(`REPORT:${aReportLabel().id}`)).toBe('Pump');
  });

  it('is nothing when the machine it was bound to is not on this phone', () => {
    expect(findByCode('MAKER 77', { ...rows, assets: [gearbox] })).toBeNull();
  });
});
