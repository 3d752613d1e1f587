import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { addMinutes, asId, type SiteId, type WorkOrderId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/work';
import { ann, anAsset, aReport, aWorkOrder, noon, otherSite, put, smallWorks, aSite } from '@oilcan/core/testing';
import { visited } from '../../testing/router';
import { canPress, press, type, words } from '../../testing/hands';
import { TestWorks } from '../../testing/works';
import { give } from '../keys/commands';
import { ShiftScreen } from './shift-screen';

const job = (number: number, given: Partial<WorkOrder> = {}) =>
  put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(`w-${number}`), number: `W-${number}`, ...given }));
const rows = [
  ...smallWorks({ dueAt: addMinutes(noon, 300) }),
  put('assets', anAsset({ condition: 'stopped' })),
  job(2, { title: 'Rope check', kind: 'inspection', urgency: 'free', dueAt: addMinutes(noon, 320) }),
  job(3, { title: 'Brake squeals', urgency: 'now', dueAt: addMinutes(noon, -1_440) }),
];

let works: TestWorks;
afterEach(() => works.close());
const open = async (given = rows, person = ann, isWide = false): Promise<void> => {
  works = await TestWorks.open(given, person);
  await works.show(<ShiftScreen chosen={undefined} />, { isWide });
};
const listed = (): string[] =>
  screen.getAllByTestId(/^work-/).map((row) => row.getAttribute('data-testid')?.slice('work-'.length) ?? '');

describe('the Shift list', () => {
  it('stands in the order of what should be done first, in groups by when, and says why', async () => {
    await open();
    expect(listed()).toEqual(['W-3', 'W-1', 'W-2']);
    expect(words()).toContain('3 jobs, 3 h of your 8 h');
    expect(words()).toContain('Start with W-3: it is needed now and it is 1 day late.');
  });

  it('finds by any word as it is typed, and says when nothing fits', async () => {
    await open();
    await type('Find a job, part or report', 'ROPE w-2');
    expect([listed(), words().includes('1 of 3 jobs')]).toEqual([['W-2'], true]);
    await type('Find a job, part or report', 'xyz');
    expect(words()).toContain('No job of yours fits “xyz”.');
    await press('Show all again');
    expect(listed()).toHaveLength(3);
  });

  it('finds reports by the same words, and leads to them', async () => {
    await open([...rows, put('reports', aReport({ words: 'Rope squeals at the mast' }))]);
    await type('Find a job, part or report', 'mast');
    expect(words()).toContain('No job of yours fits “mast”.');
    await screen.findByText('Rope squeals at the mast');
    await press(/Rope squeals at the mast/, 'link');
    expect(visited.at(-1)).toBe(`/reports/${aReport().id}`);
    await type('Find a job, part or report', 'brake');
    await waitFor(() => expect(words()).not.toContain('Rope squeals at the mast'));
  });

  it('is narrowed by several aspects, with how many there are of each', async () => {
    await open();
    await press('Filter');
    await press('Now 1', 'checkbox');
    await press('Show 1 job');
    expect([listed(), words().includes('Only Now.')]).toEqual([['W-3'], true]);
    await press('Filter 1');
    await press('Show all again');
    expect(listed()).toHaveLength(3);
  });

  it('leads to the job that is pressed', async () => {
    await open();
    fireEvent.click(screen.getByTestId('work-W-2'));
    expect(visited.at(-1)).toBe('/shift/w-2');
  });

  it('says when there is nothing to do', async () => {
    await open(smallWorks({ personIds: [] }));
    expect(words()).toContain('No work is assigned to you or your crew right now.');
  });

  it('goes along by keys on a wide screen, and opens the first that was found', async () => {
    await open(rows, ann, true);
    act(() => void give('next'));
    expect(visited.at(-1)).toBe('/shift/w-3');
    act(() => void give('find'));
    const field = screen.getByLabelText('Find a job, part or report');
    expect(document.activeElement).toBe(field);
    await type('Find a job, part or report', 'rope');
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(visited.at(-1)).toBe('/shift/w-2');
    expect(document.activeElement).not.toBe(field);
  });

  it('shows one of several sites when that is chosen', async () => {
    const atBoth = { ...ann, siteIds: [...ann.siteIds, otherSite] as SiteId[] };
    const there = job(4, { siteId: otherSite, title: 'Pump hums' });
    await open([...rows, put('sites', aSite({ id: otherSite, name: 'Valley' })), there], atBoth);
    expect(listed()).toContain('W-4');
    await press('Site: All sites');
    await press('Valley', 'radio');
    expect(listed()).toEqual(['W-4']);
    expect(canPress('Filter')).toBe(true);
  });
});
