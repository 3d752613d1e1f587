import { screen, within } from '@testing-library/react';
import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import { ann, aWorkOrder, bob, lea, noon, put, smallWorks } from '@oilcan/core/testing';
import { press, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { WorkTable } from './work-table';

const job = (id: string, given: Parameters<typeof aWorkOrder>[0]) =>
  put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(id), number: `W-${id}`, ...given }));
const rows = [
  ...smallWorks({ personIds: [ann.id], title: 'Seal weeping' }),
  job('7', { personIds: [bob.id], title: 'Drive hums', urgency: 'now' }),
  job('8', { state: 'finished', finishedAt: noon, title: 'Lamp changed' }),
  job('9', { state: 'accepted', finishedAt: noon, closedAt: noon, title: 'Door oiled' }),
];

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(rows, lea);
  await works.show(<WorkTable />, { isWide: true });
});
afterEach(() => works.close());

const heads = () => screen.getAllByRole('columnheader').map((head) => head.textContent);
const numbers = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0]?.textContent);

describe('work as a table', () => {
  it('is what Shift lists, what waits to be accepted, and what ended lately', async () => {
    expect(numbers()).toEqual(expect.arrayContaining(['W-1', 'W-7']));
    await press(/^Finished, not accepted 1/, 'radio');
    expect(numbers()).toEqual(['W-8']);
    await press(/^Ended lately 1/, 'radio');
    expect(numbers()).toEqual(['W-9']);
  });

  it('has the columns that are chosen, and what opens a row among them always', async () => {
    expect(heads()).toContain('Machine');
    await press('Columns: 11 of 13');
    expect(screen.queryByRole('checkbox', { name: 'Number' })).toBeNull();
    await press('Machine', 'checkbox');
    await press('Raised', 'checkbox');
    await press('Close');
    expect(heads()).toEqual(expect.arrayContaining(['Number', 'Raised']));
    expect(heads()).not.toContain('Machine');
  });

  it('is narrowed with Shift, and says so', async () => {
    await press(/^Now 1/, 'checkbox');
    expect(words()).toContain('1 of 2 jobs');
    expect(numbers()).toEqual(['W-7']);
    await press('Show all');
    expect(numbers()).toHaveLength(2);
  });
});
