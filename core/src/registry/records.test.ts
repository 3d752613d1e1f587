import { tables } from './tables';
import { aStep, aWorkOrder, put, smallWorks, workId } from '../testing/builders';
import { describeRecords, memoryWith } from '../testing/records-conformance';
import { MemoryRecords } from '../records/memory-records';
import { StagedRecords } from '../records/staged-records';

describeRecords('MemoryRecords', (test) => test(new MemoryRecords(tables)));
describeRecords('StagedRecords over nothing', (test) => test(new StagedRecords(new MemoryRecords(tables))));
describeRecords('StagedRecords over two layers', (test) =>
  test(new StagedRecords(new StagedRecords(new MemoryRecords(tables)))),
);

describe('MemoryRecords', () => {
  it('gives the same list again until something in it changes', () => {
    const records = memoryWith(smallWorks({}, [aStep(1), aStep(2)]));
    const before = records.peekList('steps', 'workOrder', workId);
    records.change([put('workOrders', aWorkOrder({ state: 'underway' }))]);
    expect(records.peekList('steps', 'workOrder', workId)).toBe(before);
    records.change([put('steps', aStep(2, { type: 'finding' }))]);
    expect(records.peekList('steps', 'workOrder', workId)).not.toBe(before);
    expect(records.peek('steps', aStep(1).id)).toBe(before[0]);
  });
});

describe('StagedRecords', () => {
  it('shows changes that the records below do not have until they are carried there', async () => {
    const below = memoryWith(smallWorks({}, [aStep(1)]));
    const staged = new StagedRecords(below);
    await staged.put('steps', aStep(2));
    await staged.remove('steps', aStep(1).id);
    expect((await staged.list('steps', 'workOrder', workId)).map((step) => step.position)).toEqual([2]);
    expect(below.peekList('steps', 'workOrder', workId).map((step) => step.position)).toEqual([1]);
    below.change(staged.changes());
    expect(below.peekList('steps', 'workOrder', workId).map((step) => step.position)).toEqual([2]);
  });
});
