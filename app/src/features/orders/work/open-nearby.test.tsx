import { asId, type AssetId, type PlaceId, type WorkOrderId } from '@oilcan/core/kernel';
import { anAsset, aWorkOrder, put, smallWorks } from '@oilcan/core/testing';
import { press, words } from '../../../testing/hands';
import { visited } from '../../../testing/router';
import { TestWorks } from '../../../testing/works';
import { OpenNearby } from './open-nearby';

const other = asId<AssetId>('motor');
const job = (id: string, given: Parameters<typeof aWorkOrder>[0] = {}) =>
  put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(id), number: id.toUpperCase(), title: `Job ${id}`, ...given }));

let works: TestWorks;
afterEach(() => works.close());

describe('other open work where one is', () => {
  it('is that of the machine first, then that of its place, and leads there', async () => {
    works = await TestWorks.open([
      ...smallWorks(),
      put('assets', anAsset({ id: other, name: 'Motor' })),
      job('w-7', { assetId: other }),
      job('w-8'),
      job('w-9', { placeId: asId<PlaceId>('elsewhere') }),
      job('w-10', { state: 'finished' }),
    ]);
    await works.show(<OpenNearby work={aWorkOrder()} />);
    expect(words()).toMatch(/Also open here.*Job w-8.*this machine.*Job w-7.*Motor/);
    expect(words()).not.toMatch(/w-9|w-10/);
    await press(/Job w-7/, 'link');
    expect(visited.at(-1)).toBe('/shift/w-7');
  });

  it('is nothing where there is none', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<OpenNearby work={aWorkOrder()} />);
    expect(words()).toBe('');
  });
});
