import { act, fireEvent, screen } from '@testing-library/react';
import { addMinutes, asId, instantFromMillis, type WorkOrderId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { ann, aStep, aWorkOrder, bob, lea, noon, put, smallWorks, workId } from '@oilcan/core/testing';
import { visited } from '../../../testing/router';
import { canPress, press, type, words } from '../../../testing/hands';
import { passTime, TestWorks } from '../../../testing/works';
import { WorkSheet } from './work-sheet';

const hazards: WorkOrder['hazards'] = [
  { id: 'h1', hazard: 'Rotating shaft', control: 'Lock the motor out' },
  { id: 'h2', hazard: 'Hot oil', control: 'Gloves' },
];

let works: TestWorks;
const open = async (given: Partial<WorkOrder> = {}, person = ann): Promise<void> => {
  works = await TestWorks.open(smallWorks({ estimateMinutes: 90, ...given }, [aStep(1)]), person);
  await works.show(<WorkSheet workOrderId={workId} />);
};
afterEach(() => works.close());

const work = async () => (await works.sent()).peek('workOrders', workId);
const later = (minutes: number): void => passTime(minutes * 60_000);

describe('the sheet', () => {
  it('says why, what is dangerous, and how long it should take', async () => {
    await open({ hazards });
    expect(words()).toMatch(/Seal weeping.*about 1 h 30.*Oil on the floor.*Rotating shaft.*Lock the motor out/);
  });

  it('lets nothing be recorded before the hazards are read, and goes on from there once they are', async () => {
    await open({ hazards });
    await press('Part');
    expect(words()).toContain('Before the hazards are read parts can be planned, and nothing is taken.');
    await press('That is all');
    await press('Start my clock');
    expect(works.said).toBe('Read and acknowledge the hazards first; then it goes on from here.');
    expect((await work())?.state).toBe('ready');
    await press('I have read the 2 hazards');
    expect((await work())?.state).toBe('underway');
    expect(canPress('Stop my clock')).toBe(true);
  });

  it('answers the step that was pressed, and opens what was to be recorded, after the hazards were read', async () => {
    await open({ hazards });
    await act(async () => void fireEvent.click(screen.getByRole('checkbox')));
    await press('Write in one line');
    expect(screen.queryByRole('dialog')).toBeNull();
    await press('I have read the 2 hazards');
    // The last that was pressed is what is meant.
    expect(await screen.findByRole('dialog')).toBeTruthy();
    await works.close();
    await open({ hazards });
    await act(async () => void fireEvent.click(screen.getByRole('checkbox')));
    await press('I have read the 2 hazards');
    expect((await works.sent()).peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
  });

  it('forgets what was pressed where the hazards are read much later', async () => {
    await open({ hazards });
    await press('Start my clock');
    later(5);
    await press('I have read the 2 hazards');
    expect((await work())?.state).toBe('ready');
  });

  it('adds a hazard, which everybody reads again', async () => {
    await open({ hazards });
    await press('I have read the 2 hazards');
    await press('More: this job');
    await press('Add a hazard');
    await press('Add it to the list');
    expect((await work())?.hazards).toHaveLength(2);
    await type('What is dangerous', 'Ice on the ladder');
    await type('Control: what is done about it', 'Second ladder');
    await press('Add it to the list');
    expect([(await work())?.hazards.length, works.said]).toEqual([3, 'Hazard added.']);
  });

  it('clocks my time, and records it when the clock stops', async () => {
    await open();
    await press('Start my clock');
    later(42);
    await press('Stop my clock');
    expect(words()).toMatch(/Record.*42 min/);
  });

  it('asks when I really stopped, where the clock ran for more than a day', async () => {
    await open();
    await press('Start my clock');
    later(26 * 60);
    // The screen looks at the time every few seconds.
    await works.show(<WorkSheet workOrderId={workId} />);
    await press('Stop my clock');
    expect(screen.getByRole('dialog')).toBeTruthy();
    expect((await works.sent()).peek('clocks', ann.id)).toBeDefined();
  });

  it('records the time that was really worked, once a forgotten clock is put right', async () => {
    await open();
    await press('Start my clock');
    later(26 * 60);
    await works.show(<WorkSheet workOrderId={workId} />);
    await press('Stop my clock');
    await type('Stopped at', 'half past three');
    await press('Keep this time');
    expect(words()).toContain('Write the time as 14:20.');
    // It was started at 13:00 the day before.
    await type('Stopped at', '15:30');
    await press('Keep this time');
    expect(works.said).toBe('The clock is stopped.');
    expect(words()).toMatch(/Record.*2 h 30/);
    expect((await works.sent()).peek('clocks', ann.id)).toBeUndefined();
  });

  it('keeps a note, and shows it in the record as on this phone until it is sent', async () => {
    await open();
    works.server.signal = 'none';
    await press('Note');
    await press('Keep the note');
    expect(screen.getByRole('dialog')).toBeTruthy();
    await type('For the next person', 'Grease was black');
    await press('Keep the note');
    expect(words()).toMatch(/Grease was black.*On this phone/);
    works.server.signal = 'good';
    await works.sent();
    expect(words()).not.toContain('On this phone');
  });

  it('says why it stands where it does in the list', async () => {
    await open({ dueAt: addMinutes(noon, -2 * 1_440), urgency: 'now' });
    await press('More: this job');
    await press('Why here in the list?');
    expect(words()).toMatch(/It stands here because its urgency is “Now”, it is 2 days late and/);
  });

  it('is given to others by a lead, and to nobody by anybody else', async () => {
    await open();
    await press('More: this job');
    expect(canPress('Give it to …')).toBe(false);
    await works.close();
    await open({}, lea);
    await press('More: this job');
    await press('Give it to …');
    await press('Bob', 'checkbox');
    await press('Ann', 'checkbox');
    await press('Give it');
    expect(await work()).toMatchObject({ personIds: [bob.id], previousAssignees: { personIds: [ann.id] } });
  });

  it('is followed, and not any more', async () => {
    await open();
    await press('More: this job');
    await press('Follow this job');
    expect((await works.sent()).peekList('follows', 'workOrder', workId)).toHaveLength(1);
    await press('You follow this job. Stop');
    expect((await works.sent()).peekList('follows', 'workOrder', workId)).toEqual([]);
  });

  it('of somebody else’s work can be read, and nothing be recorded on it', async () => {
    await open({ personIds: [bob.id] });
    expect(canPress('Start my clock')).toBe(false);
    expect(words()).toContain('Bob');
  });

  it('looks up work that this phone does not carry, and says when it cannot', async () => {
    const old = asId<WorkOrderId>('w-9');
    works = await TestWorks.open(smallWorks());
    await works.server.write([put('workOrders', aWorkOrder({ id: old, number: 'W-9', title: 'Old job' }))]);
    await works.show(<WorkSheet workOrderId={old} />);
    expect(words()).toContain('Old job');
    await works.close();
    works = await TestWorks.open(smallWorks());
    works.server.signal = 'none';
    await works.show(<WorkSheet workOrderId="w-404" />);
    expect(words()).toContain('This work order is not on this phone');
  });

  it('shows list, sheet and record beside one another on a wide screen', async () => {
    works = await TestWorks.open(smallWorks({ finishedAt: instantFromMillis(0) }));
    await works.show(<WorkSheet workOrderId={workId} />, { isWide: true });
    expect(screen.getByRole('complementary', { name: 'Record' })).toBeTruthy();
    expect(canPress('Back to Shift')).toBe(false);
  });

  it('leads to the machine', async () => {
    await open();
    await press('Look at the machine', 'link');
    expect(visited.at(-1)).toBe('/plant/asset');
    fireEvent.keyDown(document.body, { key: 'Escape' });
  });
});
