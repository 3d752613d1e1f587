import { asId, type PartId } from '@oilcan/core/kernel';
import { aPart, put, smallWorks, workId } from '@oilcan/core/testing';
import { currentEntries, currentOf } from '@oilcan/core/orders/work';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { ShorthandSheet } from './shorthand-sheet';

const bearing = (number: string) => put('parts', aPart({ id: asId<PartId>(number), number, name: 'Bearing' }));

let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open([...smallWorks({ state: 'underway' }), bearing('BRG-6204'), bearing('BRG-6205')]);
});
afterEach(() => works.close());

const open = () => works.show(<OnWork>{(work) => <ShorthandSheet work={work} onClose={onClose} />}</OnWork>);
const kept = async (): Promise<string[]> =>
  currentEntries((await works.sent()).peekList('entries', 'workOrder', workId))
    .map(({ content }) => content.kind)
    .sort();

it('shows what a line means, and keeps it as entries', async () => {
  await open();
  await type('What was done', '1.5h 2x seal-70 read temp 68 note grease was black');
  expect(words().replace(/\s/g, ' ')).toContain('1 h 30 of work');
  expect(words()).toContain('2 pcs Seal (SEAL-70)');
  expect(words()).toContain('Oil temperature: 68 °C');
  await press('Keep 4 entries');
  expect([onClose.mock.calls.length, works.said]).toEqual([1, '4 entries kept.']);
  expect(await kept()).toEqual(['labor', 'note', 'part', 'reading']);
});

it('says precisely what it cannot read, and one press puts it right', async () => {
  await open();
  await type('What was done', '2x brg-62; grease was black');
  expect(words()).toContain('“brg-62” fits 2 parts: BRG-6204, BRG-6205');
  expect(words()).toContain('“grease was black” begins nothing that is known.');
  expect(canPress('Keep 2 entries')).toBe(false);
  await press('Keep it as a note');
  await press('Leave out: 2 of “brg-62”');
  await press('Keep 1 entry');
  expect(await kept()).toEqual(['note']);
});

it('places several times one before the other, and asks about what is recorded already', async () => {
  await open();
  await type('What was done', '1h; 30m travel');
  await press('Keep 2 entries');
  const times = currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'labor');
  // It is one o'clock there.
  expect(times.map(({ content: { startedAt, minutes } }) => [startedAt.slice(11, 16), minutes]).sort()).toEqual([
    ['10:30', 60],
    ['11:30', 30],
  ]);
  await open();
  await type('What was done', '2h');
  expect(words()).toMatch(/You have 11:30 to 12:30 on .*, 12:30 to 13:00 on .* already\./);
  expect(canPress(/^Cut to/)).toBe(false);
});

it('keeps what can be kept, and says why the rest was not', async () => {
  await open();
  await type('What was done', '25h; 1x brg-6204; note so');
  await press('Keep 3 entries');
  expect(onClose).not.toHaveBeenCalled();
  expect(words()).toContain('One entry holds at most 24 h.');
  expect(words()).toContain('No bin holds this part');
  expect(await kept()).toEqual(['note']);
});

it('keeps what is half typed for the next time', async () => {
  await open();
  await type('What was done', '1.5h no');
  await open();
  expect(words().replace(/\s/g, ' ')).toContain('1 h 30 of work');
  expect(document.querySelector<HTMLInputElement>('input')?.value).toBe('1.5h no');
});
