import { screen, within } from '@testing-library/react';
import {
  addMinutes,
  asId,
  OilcanError,
  type AssetId,
  type PlaceId,
  type PointId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { PastJob, PastScope } from '@oilcan/core/past/past';
import {
  anAsset,
  aPastJob,
  aPoint,
  assetId,
  aWorkOrder,
  noon,
  partId,
  pointId,
  put,
  smallWorks,
} from '@oilcan/core/testing';
import { saveFile } from '../../../data/browser/save-file';
import { httpLink } from '../../../data/server/http-link';
import { visited } from '../../../testing/router';
import { canPress, press, type as typeInto, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { WorkSheet } from '../../orders/sheet/work-sheet';
import { PastScreen, PlacePastScreen } from './past-screen';

jest.mock('../../../data/browser/save-file', () => ({ saveFile: jest.fn() }));

// Drawing them takes longer than all else here, and they have a test of their own in the browser.
jest.mock('./past-pictures', () => ({ PastPictures: () => null }));

const DAY = 24 * 60;
const fault = { component: 'Shaft seal', mode: 'ELU', mechanism: '', cause: '', activity: 'replace' };
const job = (daysAgo: number, given: Partial<PastJob> = {}): PastJob => {
  const at = addMinutes(noon, -daysAgo * DAY);
  const id = asId<WorkOrderId>(`p-${daysAgo}`);
  return aPastJob({ id, number: `P-${daysAgo}`, at, endedAt: at, title: `Seal ${daysAgo}`, ...given });
};
const sealed = (daysAgo: number): PastJob =>
  job(daysAgo, { faults: [fault] as never, parts: [{ partId, quantity: 1_000 }] as never, notes: ['Lip was worn'] });
const jobs = [
  sealed(20),
  sealed(80),
  sealed(150),
  sealed(230),
  sealed(300),
  job(700, { kind: 'preventive', title: 'Oil change' }),
];
const answerOf = (some: readonly PastJob[]): string =>
  JSON.stringify({ recordsSince: addMinutes(noon, -900 * DAY), cutAt: null, asOf: noon, jobs: some, ofClass: [] });

let works: TestWorks;
const open = async (
  past: string,
  { scope = 'asset' as PastScope, isWide = false, said = undefined as string | undefined } = {},
) => {
  works = await TestWorks.open(smallWorks({ state: 'accepted', finishedAt: noon, closedAt: noon }));
  works.past = past;
  await works.show(<PastScreen assetId={assetId} scope={scope} said={said} />, { isWide });
};
afterEach(() => works.close());

describe('what happened before', () => {
  it('says first what the past says, then shows its rows, the newest first', async () => {
    await open(answerOf(jobs));
    await press(/^What else it says/);
    expect(words()).toMatch(/5 failures in/);
    expect(words()).toMatch(/Shaft seal/);
    expect(words()).toContain('6 rows');
    expect(words()).toMatch(/P-20.*P-80.*P-150/);
  });

  it('is narrowed by kind of event, period, and words', async () => {
    await open(answerOf(jobs));
    await press('Faults 5', 'radio');
    expect(words()).toContain('5 rows');
    await press(/^Find, period/);
    await press('90 days', 'radio');
    expect(words()).toContain('2 rows');
    await typeInto('Find in this past', 'p-80');
    expect(words()).toContain('1 row');
    await typeInto('Find in this past', 'nothing like it');
    expect(words()).toContain('No row is all of this.');
    await press('Show all rows');
    expect(words()).toContain('5 rows');
  });

  it('opens the work order of a row, and the past of more than the machine', async () => {
    await open(answerOf(jobs));
    await press(/P-80/, 'link');
    expect(visited.at(-1)).toBe('/shift/p-80');
    await press('Its place', 'radio');
    expect(visited.at(-1)).toBe('?{"with":"place"}');
  });

  it('has the open work of the machine, of what it is made of, and of its place too', async () => {
    const bearing = asId<AssetId>('bearing');
    const elsewhere = asId<PlaceId>('elsewhere');
    const inBearing = aWorkOrder({ id: asId<WorkOrderId>('w-2'), number: 'W-2', assetId: bearing, placeId: elsewhere });
    works = await TestWorks.open([
      ...smallWorks(),
      put('assets', anAsset({ id: bearing, parentId: assetId, placeId: elsewhere })),
      put('workOrders', inBearing),
    ]);
    works.past = answerOf([]);
    const numbers = async (scope: PastScope): Promise<string[]> => {
      await works.show(<PastScreen assetId={assetId} scope={scope} />);
      return words().match(/W-\d/g) ?? [];
    };
    expect(await numbers('asset')).toEqual(['W-1']);
    expect((await numbers('parts')).sort()).toEqual(['W-1', 'W-2']);
    expect(await numbers('place')).toEqual(['W-1']);
  });

  it('shows of a sentence that was opened its rows alone, and of a measuring point its readings', async () => {
    const point = { pointId, at: noon, value: 71, level: 'normal' as const };
    const rows = [...jobs, job(40, { title: 'Round', kind: 'inspection', readings: [point] })];
    await open(answerOf(rows), { said: 'failures' });
    expect(words()).toContain('The rows: Failures');
    expect(words()).toContain('5 rows');
    expect(words()).not.toContain('Whose past');
    await press('Parts 5', 'radio');
    expect(words()).toContain('5 rows');
    await press('Show all rows');
    expect(visited.at(-1)).toBe('?{}');
    await works.show(<PastScreen assetId={assetId} scope="asset" pointId={pointId} />);
    expect(words()).toMatch(/1 row(?!s)/);
    expect(words()).toContain('71');
  });

  it('is a table on a wide screen, sorted by any column and saved without a formula in it', async () => {
    await open(answerOf([...jobs, job(10, { title: '=1+1' })]), { isWide: true });
    await press(/^What/);
    const column = screen.getByRole('columnheader', { name: 'What' });
    expect(column.getAttribute('aria-sort')).toBe('ascending');
    const [heads, first] = within(screen.getByRole('table')).getAllByRole('row');
    expect(within(heads as HTMLElement).getAllByRole('columnheader')).toHaveLength(8);
    expect(within(first as HTMLElement).getAllByRole('cell')).toHaveLength(8);
    expect(within(first as HTMLElement).getByRole('link')).toBeTruthy();
    await press('Save as CSV');
    const [name, , csv] = jest.mocked(saveFile).mock.calls.at(-1) ?? [];
    expect(name).toBe('A1-work.csv');
    expect(String(csv)).toContain("'=1+1");
    expect(String(csv).split('\r\n')).toHaveLength(1 + 7);
  });

  it('tells of a job whose record this phone does not carry, while there is no signal', async () => {
    const reading = { pointId, at: noon, value: 24, level: 'normal' as const };
    await open(answerOf([{ ...sealed(20), readings: [reading], reason: 'Puddle under it' }]));
    works.server.signal = 'none';
    await works.show(<WorkSheet workOrderId="p-20" />);
    for (const said of [
      'Seal 20',
      'Puddle under it',
      'Lip was worn',
      'Shaft seal: oil, water or air leaks out',
      ': 24 ',
    ])
      expect(words()).toContain(said);
    expect(words()).toContain('No signal to look its whole record up.');
  });

  it('is told of a place too, with all that is within it', async () => {
    const hall = asId<PlaceId>('hall');
    const siteId = aWorkOrder().siteId;
    works = await TestWorks.open([
      ...smallWorks({ placeId: hall }),
      put('places', { id: asId<PlaceId>('station'), siteId, parentId: null, name: 'Station' }),
      put('places', { id: hall, siteId, parentId: asId<PlaceId>('station'), name: 'Hall' }),
    ]);
    works.past = answerOf(jobs);
    const asked = jest.spyOn(httpLink, 'past');
    await works.show(<PlacePastScreen placeId="station" />);
    expect(asked).toHaveBeenLastCalledWith({ scope: 'place', id: 'station' });
    expect(words()).toContain('Station');
    expect(words()).toContain('7 rows');
    expect(words()).toContain('W-1');
    await press(/^What else it says/);
    await press(/^5 failures/, 'link');
    expect(visited.at(-1)).toBe('/plant/past/at/station?said=failures');
    await works.show(<PlacePastScreen placeId="nowhere" />);
    expect(words()).toContain('This place is not on this phone');
  });

  it('shows no readings of another machine’s measuring point', async () => {
    works = await TestWorks.open([
      ...smallWorks(),
      put('points', { ...aPoint(), id: asId<PointId>('other'), assetId: asId<AssetId>('x') }),
    ]);
    works.past = answerOf(jobs);
    await works.show(<PastScreen assetId={assetId} scope="asset" pointId="other" />);
    expect(words()).toContain('7 rows');
    expect(canPress('Show all rows')).toBe(false);
  });

  it('says so when there is none, one, or all at one time', async () => {
    await open(answerOf([]));
    expect(words()).toContain('Nothing was ever recorded here.');
    await works.close();
    await open(answerOf([sealed(5)]));
    expect(words()).toContain('1 row');
    await works.close();
    await open(answerOf(['a', 'b', 'c', 'd', 'e', 'f'].map((id) => ({ ...sealed(5), id: asId<WorkOrderId>(id) }))));
    expect(words()).toContain('6 rows');
  });

  it('says what it is when it cannot be had', async () => {
    await open('');
    expect(words()).toContain('Its past is not on this phone. It comes when there is signal.');
    await works.close();
    const past = jest.spyOn(httpLink, 'past');
    past.mockRejectedValueOnce(new OilcanError('other_site'));
    await open('');
    expect(words()).toContain('This belongs to a site that you do not have.');
    past.mockRestore();
  });

  it('of a machine that is nowhere says that', async () => {
    works = await TestWorks.open(smallWorks());
    await works.show(<PastScreen assetId="nowhere" scope="asset" said={undefined} />);
    expect(words()).toContain('This machine is not on this phone');
  });
});
