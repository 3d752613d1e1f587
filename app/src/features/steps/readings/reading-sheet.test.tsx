import { asId, type AssetId, type PointId, type WorkOrderId } from '@oilcan/core/kernel';
import { currentOf } from '@oilcan/core/orders/work';
import { screen } from '@testing-library/react';
import {
  anAsset,
  aPastJob,
  aPoint,
  assetId,
  binId,
  minutesLater,
  noon,
  partId,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { AlarmProposal } from './alarm-proposal';
import { ReadingSheet } from './reading-sheet';

let works: TestWorks;
const onClose = jest.fn();
const open = async (rows = smallWorks({ state: 'underway' })): Promise<void> => {
  onClose.mockReset();
  works = await TestWorks.open(rows);
  await works.show(
    <OnWork>
      {(work) => (
        <>
          <ReadingSheet work={work} onClose={onClose} />
          <AlarmProposal work={work} />
        </>
      )}
    </OnWork>,
  );
};
afterEach(() => works.close());

const keys = async (text: string): Promise<void> => {
  for (const key of text) await press(key === '.' ? 'Decimal point' : key);
};
const readings = async () =>
  currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'reading').map(({ content }) => [
    content.pointId,
    content.value,
  ]);

describe('the Reading sheet', () => {
  it('takes a value on its own keys, with the last one in sight', async () => {
    const latest = [{ at: noon, value: 61.5 }];
    await open([...smallWorks({ state: 'underway' }), put('points', aPoint({ latest }))]);
    expect(words()).toContain('Last 61.5 °C');
    expect(canPress('Type the value')).toBe(false);
    await keys('64');
    expect(words()).not.toMatch(/beyond/i);
    await press('Keep 64 °C');
    expect([onClose.mock.calls.length, works.said, await readings()]).toEqual([
      1,
      'Oil temperature 64 °C kept.',
      [[aPoint().id, 64]],
    ]);
  });

  it('says when a value goes on with a change of the last ones', async () => {
    const latest = [60, 61, 62, 63, 64].map((value, index) => ({ at: minutesLater((index - 5) * 24 * 60), value }));
    await open([...smallWorks({ state: 'underway' }), put('points', aPoint({ latest }))]);
    await keys('65');
    expect(words()).toMatch(/Rises by about 1\.\d °C a day\./);
    await press('Erase the last digit');
    await keys('1');
    expect(words()).not.toContain('Rises');
  });

  it('says when a value is beyond a limit, and keeps it all the same', async () => {
    await open();
    await keys('80');
    expect(words()).toMatch(/beyond/i);
    await keys('9');
    await press('Keep 809 °C');
    expect(await readings()).toEqual([[aPoint().id, 809]]);
  });

  it('offers the points of what the machine is made of, and lets one be chosen', async () => {
    const motor = anAsset({ id: asId<AssetId>('motor'), parentId: assetId, name: 'Motor' });
    const point = (id: string, name: string) => aPoint({ id: asId<PointId>(id), assetId: motor.id, name });
    const others = [put('assets', motor), put('points', point('p1', 'Current')), put('points', point('p2', 'Voltage'))];
    const gone = [{ table: 'points', id: aPoint().id, row: null } as const];
    await open([...smallWorks({ state: 'underway' }), ...others, ...gone]);
    await press('Voltage', 'radio');
    await keys('4');
    await press('Keep 4 °C');
    expect(await readings()).toEqual([['p2', 4]]);
  });

  it('asks once about a value far off the usual, with what the last were, and then keeps it', async () => {
    const latest = [61, 62, 61, 63, 62].map((value, index) => ({ at: minutesLater(index - 10), value }));
    await open([...smallWorks({ state: 'underway' }), put('points', aPoint({ latest }))]);
    await keys('6');
    await press('Keep 6 °C');
    expect(words()).toContain('6 °C? The last 5 were 61.0 to 63.0. Keep it if it is right.');
    expect(await readings()).toEqual([]);
    await press('Keep 6 °C');
    expect(await readings()).toEqual([[aPoint().id, 6]]);
  });

  it('proposes it with the kit and the time that such jobs mostly took', async () => {
    const jobs = [1, 2, 3].map((days) =>
      aPastJob({
        id: asId<WorkOrderId>(`past-${days}`),
        title: `Oil temperature ${85 + days} °C, beyond alarm`,
        at: minutesLater(-days * 24 * 60),
        endedAt: minutesLater(-days * 24 * 60),
        activeMinutes: 90,
        parts: [{ partId, quantity: 2_000 }],
      }),
    );
    await open([...smallWorks({ state: 'underway' }), put('points', aPoint())]);
    works.past = JSON.stringify({ recordsSince: jobs[2]?.at, cutAt: null, asOf: noon, jobs, ofClass: [] });
    await keys('87');
    await press('Keep 87 °C');
    await screen.findByText(/3 such jobs here, which took about 1.h.30/);
    expect(screen.getByRole('checkbox', { name: /^2/ }).getAttribute('aria-checked')).toBe('true');
    await press('Raise this work order');
    const raised = (await works.sent()).peekAll('workOrders').find(({ alarmOf }) => alarmOf !== undefined);
    expect(raised).toMatchObject({ estimateMinutes: 90, kit: [{ partId, binId, quantity: 2_000, unit: null }] });
  });

  it('proposes a work order for a value beyond its alarm, filled in; the next value joins it', async () => {
    await open();
    await keys('87');
    await press('Keep 87 °C');
    expect(words()).toContain('Oil temperature 87 °C is beyond its alarm of 85 °C.');
    await press('Raise this work order');
    const raised = (await works.sent()).peekList('workOrders', 'cameFrom', workId);
    expect(raised.map(({ title, urgency, alarmOf, kind }) => [title, urgency, alarmOf, kind])).toEqual([
      ['Oil temperature 87 °C, beyond alarm', 'shift', aPoint().id, 'corrective'],
    ]);
    await keys('8');
    await press('Keep 878 °C');
    expect(words()).toContain('is open for it already: this value joins it.');
    await press('Go on');
    expect((await works.sent()).peekList('workOrders', 'cameFrom', workId)).toHaveLength(1);
  });

  it('or takes why there is no work order, into the record', async () => {
    await open();
    await keys('87');
    await press('Keep 87 °C');
    await press('No work order');
    expect(words()).toContain('Write why.');
    await type('Or why there is no need', 'sensor was in the sun');
    await press('No work order');
    const notes = currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'note');
    expect(notes.map(({ content }) => content.text)).toEqual([
      'Oil temperature 87 °C is beyond its alarm of 85 °C. No work order: sensor was in the sun',
    ]);
  });

  it('works a figure out of what is read off, shows its source, and keeps both', async () => {
    const limits = { alarmLow: null, alertLow: null, alertHigh: 1, alarmHigh: 3 };
    const derived = { kind: 'unbalance', unit: 'V' } as const;
    await open([...smallWorks({ state: 'underway' }), put('points', aPoint({ limits, derived, unit: '%' }))]);
    await type('Phase 1, V', '460');
    await type('Phase 2, V', '4x7');
    expect(canPress('Keep')).toBe(false);
    await type('Phase 2, V', '467');
    await type('Phase 3, V', '450');
    expect(words()).toContain('1.96 %');
    expect(words()).toContain('NEMA MG 1');
    expect(words()).toContain('Beyond alert');
    await press('Keep');
    const entries = currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'reading');
    expect(entries.map(({ content }) => [content.level, content.figure?.raw.map(({ value }) => value)])).toEqual([
      ['alert', [460, 467, 450]],
    ]);
  });

  it('takes a value in the unit of the gauge at hand, and keeps both', async () => {
    await open();
    await press('°C, another unit');
    await press('°F', 'radio');
    await keys('147.2');
    expect(words()).toContain('is 64 °C');
    await press('Keep 147.2 °F');
    const entries = currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'reading');
    expect(entries.map(({ content }) => [content.value, content.typed])).toEqual([[64, { value: 147.2, unit: '°F' }]]);
  });

  it('takes what the old and the new meter showed, where one was replaced', async () => {
    const latest = [{ at: minutesLater(-60), value: 4_100 }];
    await open([...smallWorks({ state: 'underway' }), put('points', aPoint({ isMeter: true, unit: 'h', latest }))]);
    await keys('3');
    await press('Keep 3 h');
    expect(words()).toContain('This meter only counts up; it stood at 4100 h.');
    await press('The meter was replaced');
    await type('The old one showed, h', '4,120');
    await press('Keep both');
    expect(words()).toContain('it stood at 4100 h');
    await type('The old one showed, h', '4120');
    await press('Keep both');
    expect((await works.sent()).peek('points', aPoint().id)?.latest.at(-1)).toMatchObject({
      value: 4_120,
      replacedAt: 0,
    });
  });

  it('says what to do where nothing is measured', async () => {
    await open([...smallWorks({ state: 'underway' }), { table: 'points', id: aPoint().id, row: null }]);
    expect(words()).toContain('Write the value down as a note');
  });
});
