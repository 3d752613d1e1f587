import { asId, formatDuration, money, type FileId } from '@oilcan/core/kernel';
import {
  anEntry,
  aPoint,
  ann,
  aStep,
  noon,
  pointId,
  put,
  smallWorks,
  someSettings,
  workId,
} from '@oilcan/core/testing';
import { perform, peekRow } from '../../../data/store/store';
import { TestWorks } from '../../../testing/works';
import { recordOnPaper } from './record-paper';

let works: TestWorks;
afterEach(() => works.close());

const fileId = asId<FileId>('a'.repeat(64));
const receipt = { fileId, mediaType: 'image/jpeg' as const, width: 4, height: 3 };
const cost = money(4_321, 'EUR');
const contents = [
  { kind: 'labor', personId: ann.id, startedAt: noon, minutes: 90, timeType: 'regular', rate: null, cost },
  { kind: 'expense', words: 'Crane', amount: cost, receipt },
  { kind: 'note', text: 'Grease was black' },
  { kind: 'photo', ...receipt, caption: 'Old seal' },
  { kind: 'reading', pointId, value: 6, level: 'alert' },
] as const;

const setOf = async (hasCosts: boolean) => {
  works = await TestWorks.open([
    ...smallWorks({ state: 'underway' }, [aStep(1)]),
    put('points', aPoint({ latest: [{ at: '2026-01-01T00:00:00.000Z' as never, value: 3 }] })),
    ...contents.map((content, index) => put('entries', anEntry(content, { id: asId<never>(`e-${index}`) }))),
  ]);
  await perform('step.answer', { workOrderId: workId, stepId: aStep(1).id, answer: { type: 'tick' } });
  await works.sent();
  const work = peekRow('workOrders', workId);
  if (work === undefined) throw new Error('There is no such work.');
  return recordOnPaper(work, someSettings(), hasCosts);
};

it('has everything that stands on the job, and its pictures in the order of their captions', async () => {
  const { record, pictures } = await setOf(true);
  expect(record.steps).toEqual([['1', aStep(1).text, expect.stringMatching(/^done · Ann, /)]]);
  expect(record.entries.map(([, headline]) => headline)).toEqual(
    expect.arrayContaining([`${formatDuration(90)} of work`, 'Crane', 'Grease was black', 'Old seal']),
  );
  expect(record.photos).toEqual(['Old seal', 'Paper of: Crane']);
  expect(pictures).toHaveLength(2);
  expect(record.readings).toMatchObject([
    { value: 6, before: [3], said: expect.stringMatching(/^6 .*beyond alert$/) as unknown },
  ]);
  // A technician does not know what time costs.
  expect(record.costs.at(-1)).toEqual(['Total without time', '€43.21']);
});

it('says no amount of money where it goes without what it cost', async () => {
  const { record, pictures } = await setOf(false);
  expect(record.costs).toEqual([]);
  expect(record.photos).toEqual(['Old seal']);
  expect(pictures).toHaveLength(1);
  expect(JSON.stringify(record)).not.toMatch(/EUR|€|43\.21|Crane/);
  expect(record.entries.map(([, headline]) => headline)).toContain(`${formatDuration(90)} of work`);
});
