import { act } from '@testing-library/react';
import { asId, type AssetId, type PointId, type StopId } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import { currentOf, type EntryKind } from '@oilcan/core/orders/work';
import { anAsset, aPoint, aStop, binId, partId, put, smallWorks, workId } from '@oilcan/core/testing';
import { canPress, press, settled, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { WorkSheet } from '../../orders/sheet/work-sheet';
import { goTo } from './stop-in-sight';

const pumpOf = (number: number): AssetId => asId<AssetId>(`pump-${number}`);
const stopOf = (number: number): StopId => asId<StopId>(`stop-${number}`);
const kit = [{ partId, binId, quantity: 1_000, unit: null }];
let works: TestWorks;

/** A round named after the gearbox, over two pumps that each have a measuring point. */
const aRound = (): Change[] =>
  [1, 2].flatMap((number) => [
    put('assets', anAsset({ id: pumpOf(number), name: `Pump ${number}`, tag: `P-${number}` })),
    put('stops', aStop({ id: stopOf(number), assetId: pumpOf(number), position: number })),
    put(
      'points',
      aPoint({ id: asId<PointId>(`point-${number}`), assetId: pumpOf(number), name: `Pressure of pump ${number}` }),
    ),
  ]);

beforeEach(async () => {
  works = await TestWorks.open([
    ...smallWorks({ state: 'underway', title: 'Daily round', hazards: [], kit }),
    ...aRound(),
  ]);
  goTo(workId, stopOf(2));
  await works.show(<WorkSheet workOrderId={workId} />);
  await settled();
});
afterEach(() => works.close());

/** On which machines entries of a kind stand at the server. */
const machinesOf = async (kind: EntryKind): Promise<string[]> =>
  currentOf((await works.sent()).peekList('entries', 'workOrder', workId), kind).map(({ assetId }) => assetId);

describe('what is recorded on a round', () => {
  it('is of the machine at the stop in sight: fault, note, stoppage, part and reading', async () => {
    await press('Fault');
    expect(canPress('At Pump 2; change the machine')).toBe(true);
    await type('What is wrong', 'leaks');
    await press(/leak/i);
    await press('Keep the fault');
    await press('Note');
    await type('For the next person', 'Drips');
    await press('Keep the note');
    expect(words()).toContain('Note · Pump 2 · Ann');
    await press('Stoppage');
    await press('Keep the stoppage');
    await press('Part');
    await press(/^Use /);
    await press('Reading');
    expect(words()).toContain('Pressure of pump 2');
    for (const digit of ['6', '1']) await press(digit);
    await press('Keep 61 °C');
    const kinds = ['fault', 'note', 'stoppage', 'part', 'reading'] as const;
    for (const kind of kinds) expect([kind, await machinesOf(kind)]).toEqual([kind, ['pump-2']]);
  });

  it('is of the next stop once one has gone on, whatever was chosen before', async () => {
    await press('Write in one line');
    await press('At Pump 2; change the machine');
    await press('Gearbox', 'radio');
    await press('Close');
    act(() => goTo(workId, stopOf(1)));
    await press('Write in one line');
    await type('What was done', 'note drips');
    await press('Keep 1 entry');
    expect(await machinesOf('note')).toEqual(['pump-1']);
  });

  it('is of another one that is chosen, down to what is proposed there', async () => {
    await press('Reading');
    await press('At Pump 2; change the machine');
    await press('Pump 1', 'radio');
    expect(words()).toContain('Pressure of pump 1');
    for (const digit of ['6', '1']) await press(digit);
    await press('Keep 61 °C');
    await press('Further work');
    await press('At Pump 2; change the machine');
    await press('Gearbox', 'radio');
    await type('What is to be done', 'Paint the rail');
    await press('Raise this work order');
    expect(await machinesOf('reading')).toEqual(['pump-1']);
    const [led] = (await works.sent()).peekList('workOrders', 'cameFrom', workId);
    expect(led?.assetId).toBe('asset');
  });
});
