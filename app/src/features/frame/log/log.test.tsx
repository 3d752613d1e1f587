import type { LoggedOperation } from '@oilcan/core/sync';
import { lea, noon, smallWorks, workId } from '@oilcan/core/testing';
import { saveFile } from '../../../data/browser/save-file';
import { Unreachable } from '../../../data/server/server-link';
import { press, settled, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { LogScreen } from './log-screen';

jest.mock('../../../data/browser/save-file', () => ({ saveFile: jest.fn() }));

let works: TestWorks;
afterEach(() => works.close());

const logged = (given: Partial<LoggedOperation>): LoggedOperation => ({
  id: 'o-1',
  name: 'work.hold',
  by: 'ann',
  device: 'd-1',
  deviceWords: 'Chrome on Android',
  at: '2026-11-23T12:00:00+01:00',
  receivedAt: noon,
  args: { workOrderId: workId, reason: 'part', note: '' },
  outcome: { ok: true },
  changed: [
    { table: 'workOrders', id: workId, did: 'changed', fields: { state: { before: 'underway', after: 'held' } } },
    { table: 'entries', id: 'e-1', did: 'made', fields: {} },
  ],
  ...given,
});

const show = async (...operations: LoggedOperation[]): Promise<void> => {
  works = await TestWorks.open(smallWorks(), lea);
  works.answers.set('GET /api/log', { operations, before: null });
  await works.show(<LogScreen of={`workOrders:${workId}`} />);
  await settled();
};

it('says who did what on which device, and on a press what was before and after', async () => {
  await show(logged({}), logged({ id: 'o-2', name: 'plan.make', by: '', deviceWords: null, args: {}, changed: null }));
  expect(words()).toContain('Ann · Chrome on Android');
  expect(words()).toContain('Holding');
  expect(words()).toContain('Oilcan');
  expect(words()).not.toContain('underway');
  await press(/Holding/);
  expect(words()).toContain('state: underway → held');
  expect(words()).toContain('entry, made');
});

it('says what was refused, and why', async () => {
  await show(
    logged({ outcome: { ok: false, code: 'not_found', values: { what: 'work order' }, field: null }, changed: [] }),
  );
  expect(words()).toContain('(not taken)');
});

it('is saved as CSV, a line for every field', async () => {
  await show(logged({}));
  await press('Save as CSV');
  const [name, , content] = jest.mocked(saveFile).mock.lastCall ?? [];
  expect(name).toBe('who-did-what.csv');
  expect(String(content).split('\r\n')).toHaveLength(3);
  expect(String(content)).toContain('state,underway,held');
});

it('is narrowed by person and time', async () => {
  await show(logged({}));
  await press('Filter');
  await press('Today', 'radio');
  await press('Ann', 'radio');
  await press('Show these');
  expect(words()).toContain('By Ann, today');
});

it('says so without signal', async () => {
  works = await TestWorks.open(smallWorks(), lea);
  works.answers.set('GET /api/log', new Unreachable());
  await works.show(<LogScreen />);
  await settled();
  expect(words()).toContain('What was done shows when there is signal.');
});
