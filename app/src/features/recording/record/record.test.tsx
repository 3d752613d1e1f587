import { screen } from '@testing-library/react';
import { addMinutes } from '@oilcan/core/kernel';
import { ann, binId, noon, partId, smallWorks, workId } from '@oilcan/core/testing';
import { perform } from '../../../data/store/store';
import { press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { RecordList } from './record';

const onWork = { workOrderId: workId };
let works: TestWorks;
const show = () => works.show(<OnWork>{(work) => <RecordList work={work} />}</OnWork>);
const rows = (): string[] => screen.getAllByRole('button').map((row) => (row.textContent ?? '').replace(/\s+/g, ' '));
beforeEach(async () => {
  works = await TestWorks.open(smallWorks({ state: 'underway' }));
});
afterEach(() => works.close());

describe('the record', () => {
  it('has everything of the job in one list, the newest first, with what it comes to', async () => {
    await perform('note.add', { ...onWork, text: 'Bearing is blue' });
    await perform('part.use', { ...onWork, partId, binId, quantity: 2_000 });
    const startedAt = addMinutes(noon, -60);
    await perform('labor.add', { ...onWork, personId: ann.id, startedAt, minutes: 30, timeType: 'regular' });
    await show();
    expect(rows().map((row) => row.replace(/^.*?\d\d:\d\d/, ''))).toEqual([
      expect.stringMatching(/^30 min of work/),
      expect.stringMatching(/^2 pcs Seal/),
      expect.stringMatching(/^Bearing is blue/),
    ]);
    expect(words()).toContain('3 entries · 30 min · €76.40');
  });

  it('keeps what was amended readable beside what holds now', async () => {
    await perform('note.add', { ...onWork, text: 'Bearing is blue' });
    await show();
    await press(/Bearing is blue/);
    await type('Text instead', 'Bearing is blue and rough');
    await press('Amend');
    expect(rows()).toEqual([
      expect.stringContaining('Bearing is blue and roughAmendment · '),
      expect.stringContaining('Bearing is blueAmended · '),
    ]);
  });

  it('can be narrowed once it is long; what takes an entry back stands with it', async () => {
    for (let index = 0; index < 7; index += 1) await perform('note.add', { ...onWork, text: `Note ${index}` });
    await perform('part.use', { ...onWork, partId, binId, quantity: 2_000 });
    await show();
    expect(screen.queryByRole('radio')).toBeNull();
    await press(/2 pcs Seal/);
    await type('Why it should not be there', 'Wrong bin');
    await press('Take it back');
    await press('Parts 2', 'radio');
    expect(rows()).toEqual([expect.stringContaining('Taken back'), expect.stringContaining('2 pcs Seal')]);
    await press('Notes 7', 'radio');
    expect(rows()).toHaveLength(7);
    await press('All', 'radio');
    expect(rows()).toHaveLength(9);
  });

  it('shows the newest of a long one, and all of it when it is asked for', async () => {
    for (let index = 0; index < 45; index += 1) await perform('note.add', { ...onWork, text: `Note ${index}` });
    await show();
    expect(rows().filter((row) => row.includes('Note'))).toHaveLength(40);
    await press('Show all 45');
    expect(rows().filter((row) => row.includes('Note'))).toHaveLength(45);
  });

  it('says what it will hold while there is nothing in it', async () => {
    await show();
    expect(words()).toContain('Nothing is recorded yet.');
  });
});
