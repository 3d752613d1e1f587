import { act } from '@testing-library/react';
import { addMinutes, asId, type AssetId, type FileId, type PersonId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { anAsset, ann, assetId, aWorkOrder, bob, lea, put, site, smallWorks } from '@oilcan/core/testing';
import { presentOfTest, TestWorks } from '../../testing/works';
import { carryAheadLater } from './carry-ahead';
import { nameOf } from '../browser/name-of';
import { httpLink } from '../server/http-link';
import { hasFile } from '../store/store';

/** What a browser keeps of the past, in memory. */
class Caches {
  readonly kept = new Map<string, { text: string; headers: Map<string, string> }>();
  readonly open = () =>
    Promise.resolve({
      put: (key: string, response: { text: string; headers: Map<string, string> }) => {
        this.kept.set(key, response);
        return Promise.resolve();
      },
      match: (key: string) => Promise.resolve(this.kept.get(key)),
    });
  readonly delete = () => Promise.resolve(this.kept.clear());
}

const pump = asId<AssetId>('pump');
const manual = nameOf(new Uint8Array([1]));
const film = asId<FileId>('b'.repeat(64));
const job = (id: string, on: AssetId, given: Partial<WorkOrder> = {}): Change =>
  put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(id), number: id, assetId: on, ...given }));
const documentOf = (id: string, fileId: FileId, bytes: number): Change =>
  put('documents', { id, siteId: site, assetId, name: id, mediaType: 'application/pdf', fileId, bytes });
const rows: readonly Change[] = [
  ...smallWorks(),
  put('assets', anAsset({ id: pump })),
  job('w-2', pump, { personIds: [bob.id] }),
];
const documents = [documentOf('manual', manual, 1_000), documentOf('film', film, 200_000_000)];

let works: TestWorks;
let caches: Caches;
const past = jest.spyOn(httpLink, 'past');
const asked = (): string[] => past.mock.calls.map(([{ id }]) => id).sort();
beforeEach(() => {
  past.mockReset();
  past.mockResolvedValue('{}');
  caches = new Caches();
  Object.assign(globalThis, {
    caches,
    Response: class {
      readonly headers: Map<string, string>;
      readonly text: string;
      constructor(text: string, { headers }: { headers: Record<string, string> }) {
        this.text = text;
        this.headers = new Map(Object.entries(headers));
      }
    },
  });
});
afterEach(async () => {
  await works.close();
  Reflect.deleteProperty(globalThis, 'caches');
  Reflect.deleteProperty(globalThis, 'Response');
});

/** Lets what waits behind synchronizing happen. */
const later = async (): Promise<void> => {
  const real = globalThis.setTimeout;
  const soon = jest.spyOn(globalThis, 'setTimeout').mockImplementation((task) => real(task, 0));
  carryAheadLater();
  await act(() => new Promise<void>((resolve) => void real(resolve, 50)));
  soon.mockRestore();
};

describe('what comes along before it is needed', () => {
  it('is the past of machines with open work of mine, and nobody else’s', async () => {
    works = await TestWorks.open(rows);
    await later();
    expect(asked()).toEqual([assetId]);
    expect([...caches.kept.keys()]).toEqual([`/past/${assetId}/asset`]);
  });

  it('is fetched again only when it is a day old, or work on the machine changed its state since', async () => {
    works = await TestWorks.open(rows);
    await later();
    await later();
    expect(asked()).toEqual([assetId]);
    const lastTransition = {
      by: asId<PersonId>('bob'),
      since: addMinutes(presentOfTest(), 1),
    };
    await works.server.write([job('w-1', assetId, { lastTransition })]);
    await works.sent();
    await later();
    expect(asked()).toEqual([assetId, assetId]);
  });

  it('are its documents, unless one is larger than what is carried', async () => {
    works = await TestWorks.open([...rows, ...documents]);
    for (const id of [manual, film]) works.documents.set(id, new Uint8Array([1]));
    await later();
    expect([await hasFile(manual), await hasFile(film)]).toEqual([true, false]);
  });

  it('is of a lead’s own work only, not of everybody’s', async () => {
    works = await TestWorks.open(rows, lea);
    await later();
    expect(asked()).toEqual([]);
    await works.server.write([job('w-2', pump, { personIds: [bob.id, lea.id] })]);
    await works.sent();
    await later();
    expect(asked()).toEqual([pump]);
  });

  it('waits for the next time when there is no signal', async () => {
    works = await TestWorks.open(rows, ann);
    past.mockRejectedValueOnce(new Error('No line'));
    await later();
    await later();
    expect(asked()).toEqual([assetId, assetId]);
  });
});
