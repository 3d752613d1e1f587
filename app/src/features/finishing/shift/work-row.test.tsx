import { act, fireEvent, screen } from '@testing-library/react';
import { addMinutes, asId, type PersonId } from '@oilcan/core/kernel';
import { stockLevelId } from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';
import {
  aCrew,
  aLevel,
  ann,
  aPerson,
  aStep,
  bob,
  binId,
  noon,
  partId,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { perform } from '../../../data/store/store';
import { words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { WorkRow } from './work-row';

const onOpen = jest.fn();
let works: TestWorks;
const open = async (given: Partial<WorkOrder>, more: readonly ReturnType<typeof put>[] = []): Promise<void> => {
  works = await TestWorks.open([...smallWorks(given, [aStep(1), aStep(2)]), ...more]);
  await works.show(
    <OnWork>
      {(work) => <WorkRow work={work} present={addMinutes(noon, 60)} isChosen={false} onOpen={onOpen} />}
    </OnWork>,
  );
};
afterEach(() => works.close());

describe('a row of the Shift list', () => {
  it('says what, where, how soon, by when, and how far it is', async () => {
    await open({ urgency: 'now', dueAt: addMinutes(noon, -24 * 60) });
    expect(words()).toMatch(/W-1.*Now.*Seal weeping.*Gearbox.*1 day late.*0 of 2/);
    fireEvent.click(screen.getByTestId('work-W-1'));
    expect(onOpen).toHaveBeenCalledWith(workId);
  });

  it('says whether the parts are there, and that again when the stock changes', async () => {
    await open({ kit: [{ partId, binId, quantity: 8_000, unit: null }] });
    expect(words()).toContain('parts there');
    await works.server.write([put('stock', aLevel(2_000, { id: stockLevelId(partId, binId) }))]);
    await works.sent();
    expect(words()).toContain('1 part short');
  });

  it('says who else has it', async () => {
    await open({ personIds: [ann.id, bob.id] });
    expect(words()).toContain('with Bob');
    await works.close();
    await open({ personIds: [], crewId: aCrew().id }, [put('crews', aCrew({ memberIds: [ann.id] }))]);
    expect(words()).toContain('Crew');
    await works.close();
    const cleo = aPerson({ id: asId<PersonId>('cleo'), name: 'Cleo' });
    await open({ personIds: [cleo.id] }, [put('people', cleo)]);
    expect(words()).toContain('Cleo');
  });

  it('says that it is held or came back, and nothing of that when it is only ready', async () => {
    await open({});
    expect(words()).not.toContain('Ready');
    await works.close();
    await open({ state: 'held', held: { reason: 'part', note: '' } });
    expect(words()).toMatch(/held/i);
  });

  it('says when something of it is on this phone only', async () => {
    await open({});
    works.server.signal = 'none';
    await act(() => perform('note.add', { workOrderId: workId, text: 'Not sent' }));
    await works.sent();
    expect(words()).toContain('On this phone');
  });
});
