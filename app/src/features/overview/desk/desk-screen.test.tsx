import { act, screen, waitFor } from '@testing-library/react';
import { addMinutes, asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Review } from '@oilcan/core/finishing/review';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { anEntry, ann, aWorkOrder, lea, noon, put, smallWorks } from '@oilcan/core/testing';
import { visited } from '../../../testing/router';
import { press, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { settleAccepting } from '../../../data/store/accepting';
import { perform } from '../../../data/store/store';
import { give } from '../../frame/keys/commands';
import { DeskScreen } from './desk-screen';

const job = (number: number, given: Partial<WorkOrder>) =>
  put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(`w-${number}`), number: `W-${number}`, ...given }));
const finished = (number: number, minutes: number) =>
  job(number, { state: 'finished', finishedAt: addMinutes(noon, minutes), finishedBy: ann.id });

const NoSheet = (): null => null;
let works: TestWorks;
afterEach(() => works.close());

describe('the Desk', () => {
  it('has finished work first, what waits longest on top, and says how much waits', async () => {
    works = await TestWorks.open(
      [...smallWorks({ dueAt: addMinutes(noon, -60) }), finished(2, 10), finished(3, 40), job(4, { state: 'held' })],
      lea,
    );
    await works.show(<DeskScreen Sheet={NoSheet} />);
    expect(words()).toContain('2 finished jobs wait for your look');
    expect(words()).toContain('2 jobs are open, 1 of them late; 1 is underway or held.');
    const rows = screen.getAllByTestId(/^(desk|underway)-/).map((row) => row.getAttribute('data-testid'));
    expect(rows).toEqual(['desk-W-2', 'desk-W-3', 'underway-W-4']);
  });

  it('shows what each came to, and leads to it', async () => {
    works = await TestWorks.open(smallWorks({ state: 'underway' }), lea);
    const startedAt = addMinutes(noon, -60);
    const onWork = { workOrderId: aWorkOrder().id };
    await perform('labor.add', { ...onWork, personId: lea.id, startedAt, minutes: 90, timeType: 'regular' });
    await works.show(<DeskScreen Sheet={NoSheet} />);
    expect(words()).toMatch(/W-1 Seal weeping.*1 h 30.*€90\.00/);
    await press(/W-1 Seal weeping/, 'link');
    expect(visited.at(-1)).toBe('/shift/w-1');
  });

  it('says when nothing waits', async () => {
    works = await TestWorks.open(smallWorks(), lea);
    await works.show(<DeskScreen Sheet={NoSheet} />);
    expect(words()).toMatch(/Nothing waits for you.*Finished work appears here the moment it is done\./);
  });

  it('shows mails that could not be delivered, and tries one again', async () => {
    works = await TestWorks.open(smallWorks(), lea);
    const mail = { id: 'm-1', to: 'Ann', subject: 'Given to you: W-1 Seal weeping', tries: 10, putAsideAt: noon };
    works.answers.set('GET /api/mails/undelivered', { mails: [mail] });
    works.answers.set('POST /api/mails/undelivered/m-1/again', null);
    await works.show(<DeskScreen Sheet={NoSheet} />);
    expect(words()).toContain('Mails that could not be delivered');
    expect(words()).toContain('To Ann, tried 10 times');
    works.answers.set('GET /api/mails/undelivered', { mails: [] });
    await press(/Try again to mail Ann/);
    expect(words()).not.toContain('Mails that could not be delivered');
  });

  it('points at times that came in late or from a clock that was off', async () => {
    const late = anEntry(
      { kind: 'note', text: 'Greased' },
      { workOrderId: asId<WorkOrderId>('w-2'), arrival: { at: addMinutes(noon, 2_880), clockOffMinutes: 0 } },
    );
    works = await TestWorks.open([...smallWorks(), finished(2, 10), put('entries', late)], lea);
    await works.show(<DeskScreen Sheet={NoSheet} />);
    expect(words()).toContain('1 time to check: came in late, or by a clock that was off');
  });

  const overEstimate = { is: 'overEstimate', minutes: 120, estimateMinutes: 60 } as const;
  const review = (number: number, unusual: Review['unusual']) =>
    put('reviews', {
      id: asId<WorkOrderId>(`w-${number}`),
      siteId: lea.siteIds[0] as never,
      workOrderId: asId<WorkOrderId>(`w-${number}`),
      readerIds: [lea.id],
      finishedAt: addMinutes(noon, number),
      acceptedAt: null,
      unusual,
      cost: { laborMinutes: 120, groups: { time: [], material: [], boughtIn: [], other: [] }, total: [] },
    });

  it('has the unusual on top, with why, and accepts the others together', async () => {
    const jobs = [
      finished(2, 2),
      finished(3, 3),
      finished(5, 5),
      review(2, []),
      review(3, []),
      review(5, [overEstimate]),
    ];
    works = await TestWorks.open([...smallWorks(), ...jobs], lea);
    await works.show(<DeskScreen Sheet={NoSheet} />);
    expect(words()).toContain('3 finished jobs wait for your look');
    expect(words().replace(/\s/g, ' ')).toContain('1 of them is unusual.');
    expect(screen.getAllByTestId(/^desk-/)[0]?.textContent?.replace(/\s/g, ' ')).toContain('2 h worked, 1 h planned');
    await press('Choose several');
    await press('Accept 2 jobs');
    expect(works.said).toBe('2 jobs accepted.');
    await act(settleAccepting);
    const sent = await works.sent();
    expect(['w-2', 'w-3', 'w-5'].map((id) => sent.peek('workOrders', id)?.state)).toEqual([
      'accepted',
      'accepted',
      'finished',
    ]);
    expect(words()).toContain('1 finished job waits for your look');
  });

  it('is looked through by keys alone where it is wide', async () => {
    works = await TestWorks.open([...smallWorks(), finished(2, 2), finished(3, 3), review(2, []), review(3, [])], lea);
    await works.show(<DeskScreen Sheet={NoSheet} />, { isWide: true });
    expect(words()).toContain('Nothing unusual.');
    for (const command of ['accept', 'accept'] as const) await act(async () => void give(command));
    await waitFor(() => expect(words()).toContain('Nothing waits for you'));
    const states = async () => {
      const sent = await works.sent();
      return ['w-2', 'w-3'].map((id) => sent.peek('workOrders', id)?.state);
    };
    // The last can still be undone, the one before is accepted for good.
    expect(await states()).toEqual(['accepted', 'finished']);
    await act(async () => void give('undo'));
    expect(words()).toContain('1 finished job waits for your look');
    await act(async () => void give('accept'));
    document.dispatchEvent(new Event('visibilitychange'));
    expect(await states()).toEqual(['accepted', 'finished']);
    await act(settleAccepting);
    expect(await states()).toEqual(['accepted', 'accepted']);
  });
});
