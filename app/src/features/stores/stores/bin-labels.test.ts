import { asId, type BinId, type PartId, type StoreId } from '@oilcan/core/kernel';
import { readCode } from '@oilcan/core/plant/plant';
import { aBin, aLevel, aPart, site } from '@oilcan/core/testing';
import { binLabels } from './bin-labels';

describe('labels for bins', () => {
  it('are one for each bin that holds what is shown, along the shelves, with a code that leads back to it', () => {
    const store = { id: asId<StoreId>('store'), siteId: site, name: 'Base store' };
    const bin = (id: string, label: string) => aBin({ id: asId<BinId>(id), storeId: store.id, label });
    const part = (id: string) => aPart({ id: asId<PartId>(id), number: id.toUpperCase() });
    const level = (partId: string, binId: string) =>
      aLevel(1_000, { id: `${partId}@${binId}`, partId: asId<PartId>(partId), binId: asId<BinId>(binId) });
    const labels = binLabels([part('seal'), part('oil')], {
      stock: [level('oil', 'b10'), level('seal', 'b4'), level('oil', 'b4'), level('other', 'b1')],
      bins: [bin('b10', 'C-10'), bin('b4', 'C-4'), bin('b1', 'C-1')],
      stores: [store],
    });
    expect(labels.map(({ headline, detail }) => [headline, detail])).toEqual([
      ['C-4', 'SEAL, OIL'],
      ['C-10', 'OIL'],
    ]);
    expect(labels.map(({ code }) => readCode(code))).toEqual(['BIN:BASE STORE:C-4', 'BIN:BASE STORE:C-10']);
  });
});
