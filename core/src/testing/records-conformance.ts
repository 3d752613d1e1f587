import { tables } from '../registry/tables';
import fc from 'fast-check';
import { asId, type WorkOrderId } from '../kernel/ids';
import type { Records } from '../records/records';
import { MemoryRecords } from '../records/memory-records';
import { aStep, aWorkOrder, site, workId } from './builders';

/** What every implementation of `Records` must do. `withRecords` gives a new empty one to each test. */
export function describeRecords(
  name: string,
  withRecords: (test: (records: Records) => Promise<void>) => Promise<void>,
): void {
  describe(`${name} as records`, () => {
    it('gives back the row that was put, and nothing for an unknown id', () =>
      withRecords(async (records) => {
        await records.put('workOrders', aWorkOrder());
        expect(await records.get('workOrders', workId)).toEqual(aWorkOrder());
        expect(await records.get('workOrders', 'w-2')).toBeUndefined();
        expect(await records.get('steps', workId)).toBeUndefined();
      }));

    it('replaces a row that is put again', () =>
      withRecords(async (records) => {
        await records.put('workOrders', aWorkOrder());
        await records.put('workOrders', aWorkOrder({ state: 'underway' }));
        expect((await records.get('workOrders', workId))?.state).toBe('underway');
        expect(await records.list('workOrders', 'site', site)).toHaveLength(1);
      }));

    it('lists by an index in the order of ids', () =>
      withRecords(async (records) => {
        await records.put('steps', aStep(3));
        await records.put('steps', aStep(1));
        await records.put('steps', aStep(2, { type: 'tick' }, { workOrderId: asId<WorkOrderId>('w-2') }));
        expect((await records.list('steps', 'workOrder', workId)).map((step) => step.position)).toEqual([1, 3]);
      }));

    it('moves a row in its index when its key changes, and leaves out null', () =>
      withRecords(async (records) => {
        await records.put('workOrders', aWorkOrder());
        const closedAt = aWorkOrder().createdAt;
        expect(await records.list('workOrders', 'ended', closedAt)).toEqual([]);
        await records.put('workOrders', aWorkOrder({ state: 'accepted', closedAt }));
        expect(await records.list('workOrders', 'ended', closedAt)).toHaveLength(1);
        await records.put('workOrders', aWorkOrder());
        expect(await records.list('workOrders', 'ended', closedAt)).toEqual([]);
      }));

    it('removes a row, and does not mind one that is not there', () =>
      withRecords(async (records) => {
        await records.put('steps', aStep(1));
        await records.remove('steps', aStep(1).id);
        await records.remove('steps', aStep(1).id);
        expect(await records.get('steps', aStep(1).id)).toBeUndefined();
        expect(await records.list('steps', 'workOrder', workId)).toEqual([]);
        await records.put('steps', aStep(1));
        expect(await records.list('steps', 'workOrder', workId)).toHaveLength(1);
      }));

    it('does not let go of a row that is changed after it was put', () =>
      withRecords(async (records) => {
        const before = await records.get('steps', aStep(1).id);
        await records.put('steps', aStep(1));
        expect(before).toBeUndefined();
      }));

    it('holds after any changes what a plain list of them holds', () =>
      fc.assert(
        fc.asyncProperty(
          fc.array(
            fc.record({
              position: fc.integer({ min: 1, max: 5 }),
              work: fc.constantFrom('w-1', 'w-2'),
              isRemoval: fc.boolean(),
            }),
            { maxLength: 25 },
          ),
          (changes) =>
            withRecords(async (records) => {
              const model = new Map<string, ReturnType<typeof aStep>>();
              for (const { position, work, isRemoval } of changes) {
                const step = aStep(position, { type: 'tick' }, { workOrderId: asId<WorkOrderId>(work) });
                if (isRemoval) await records.remove('steps', step.id);
                else await records.put('steps', step);
                if (isRemoval) model.delete(step.id);
                else model.set(step.id, step);
              }
              for (const work of ['w-1', 'w-2']) {
                const expected = [...model.values()].filter((step) => step.workOrderId === work);
                expected.sort((a, b) => (a.id < b.id ? -1 : 1));
                expect(await records.list('steps', 'workOrder', work)).toEqual(expected);
              }
            }),
        ),
        { numRuns: 20 },
      ));
  });
}

/** Memory filled with changes. */
export function memoryWith(changes: Parameters<MemoryRecords['change']>[0]): MemoryRecords {
  const records = new MemoryRecords(tables);
  records.change(changes);
  return records;
}
