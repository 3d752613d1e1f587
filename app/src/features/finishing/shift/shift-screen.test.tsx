import { act, fireEvent, screen, within } from '@testing-library/react';
import { addMinutes, asId, type SiteId, type WorkOrderId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { foundWork } from '@oilcan/core/overview/find';
import { bob, ann, anAsset, aReport, aWorkOrder, noon, otherSite, put, smallWorks, aSite } from '@oilcan/core/testing';
import { visited } from '../../../testing/router';
import { canPress, press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { forgetChoices } from '../../../ui/state/kept-choice';
import { give } from '../../frame/keys/commands';
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
afterEach(async () => {
  await works.close();
  forgetChoices();
});
const open = async (given = rows, person = ann, isWide = false): Promise<void> => {
  works = await TestWorks.open(given, person);
  await works.show(<ShiftScreen chosen={undefined} />, { isWide });
};
const FIND = 'Find anything';
const found = (): string[] =>
  within(screen.getByRole('list', { name: 'Jobs that were found' }))
    .getAllByRole('link')
    .map((link) => /^W-\S+ [A-Z][a-z]+ [a-z]+/.exec(link.textContent)?.[0] ?? '');
const listed = (): string[] =>
  screen.queryAllByTestId(/^work-/).map((row) => row.getAttribute('data-testid')?.slice('work-'.length) ?? '');

describe('the Shift list', () => {
  it('stands in the order of what should be done first, in groups by when, and says why', async () => {
    await open();
    expect(listed()).toEqual(['W-3', 'W-1', 'W-2']);
    expect(words()).toContain('3 jobs, 3 h of your 8 h');
    expect(words()).toContain('Start with W-3: it is needed now and it is 1 day late.');
  });

  it('finds by any word as it is typed, and says when nothing fits', async () => {
    await open();
    await type(FIND, 'ROPE w-2');
    expect(found()).toEqual(['W-2 Rope check']);
    expect(listed()).toEqual([]);
    await type(FIND, 'xyz');
    await screen.findByText('Nothing fits “xyz”.');
    await type(FIND, '');
    expect(listed()).toHaveLength(3);
  });

  it('finds what is not in the list, with why it is not', async () => {
    await open([
      ...rows,
      job(7, { title: 'Mast check', state: 'accepted', finishedAt: noon, closedAt: noon }),
      job(8, { title: 'Mast paint', personIds: [bob.id] }),
      job(9, { title: 'Mast lamp', state: 'dropped', closedAt: noon }),
    ]);
    await type(FIND, 'mast');
    await screen.findByText(/Mast check/);
    expect(words()).toMatch(/W-7 Mast check[^W]*accepted/);
    expect(words()).toMatch(/W-8 Mast paint[^W]*with Bob/);
    expect(words()).toMatch(/W-9 Mast lamp[^W]*dropped/);
    await press('Filter');
    await press('Now 1', 'checkbox');
    await press('Show 1 job');
    await type(FIND, 'rope');
    expect(words()).toContain('yours, not in the list while it is narrowed');
  });

  it('asks the server for what is not on this phone, and says when there is no signal', async () => {
    await open();
    works.found = [
      {
        ...foundWork(aWorkOrder({ id: asId<WorkOrderId>('old'), number: 'W-0', title: 'Rope of old' })),
        state: 'accepted',
        endedAt: noon,
      },
    ];
    await type(FIND, 'rope');
    await screen.findByText('W-0 Rope of old');
    await press(/W-0 Rope of old/, 'link');
    expect(visited.at(-1)).toBe('/shift/old');
    works.server.signal = 'none';
    await type(FIND, 'rope check');
    await screen.findByText('No signal: only what is on this phone.');
    expect(found()).toEqual(['W-2 Rope check']);
  });

  it('finds machines, parts, places and reports by the same words, and leads to them', async () => {
    await open([...rows, put('reports', aReport({ words: 'Rope squeals at the mast' }))]);
    await type(FIND, 'mast');
    await screen.findByText('Rope squeals at the mast');
    await press(/Rope squeals at the mast/, 'link');
    expect(visited.at(-1)).toBe(`/reports/${aReport().id}`);
    await type(FIND, 'gearbox');
    await press(/^Gearbox/, 'link');
    expect(visited.at(-1)).toBe(`/plant/${anAsset().id}`);
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
    const field = screen.getByRole('searchbox', { name: FIND });
    expect(document.activeElement).toBe(field);
    await type(FIND, 'rope');
    await screen.findByText(/Rope check/);
    fireEvent.keyDown(field, { key: 'Enter' });
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
