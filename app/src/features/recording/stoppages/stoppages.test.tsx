import { asId, type AssetId, type EntryId } from '@oilcan/core/kernel';
import { currentOf } from '@oilcan/core/orders/work';
import { anAsset, ann, anEntry, assetId, lea, minutesLater, put, site, smallWorks, workId } from '@oilcan/core/testing';
import { useRow, useRows } from '../../../data/store/store';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { MarkMachine } from './mark-machine';
import { StillOut, StoodStill } from './stood-still';
import { StoppageSheet } from './stoppage-sheet';

let works: TestWorks;
const onClose = jest.fn();
const open = async (rows = smallWorks({ state: 'underway' }), person = ann): Promise<void> => {
  onClose.mockReset();
  works = await TestWorks.open(rows, person);
};
const sheet = () => works.show(<OnWork>{(work) => <StoppageSheet work={work} onClose={onClose} />}</OnWork>);
afterEach(() => works.close());
const stoppages = async () =>
  currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'stoppage').map(({ content }) => content);
const machine = async () => (await works.sent()).peek('assets', assetId);

/** The time at which the test looks. */
const present = expect.stringMatching(/^2026-11-23T12:00/) as unknown as string;

describe('the Stoppage sheet', () => {
  it('keeps one that ended now in two presses', async () => {
    await open(smallWorks({ state: 'underway', startedAt: minutesLater(-90) }));
    await sheet();
    await press('Until now', 'radio');
    await press('Keep the stoppage');
    expect(works.said).toBe('Stoppage kept.');
    expect(await stoppages()).toEqual([
      expect.objectContaining({ from: expect.any(String), to: present, extent: 'full', isPlanned: false }),
    ]);
    expect((await machine())?.condition).toBe('running');
  });

  it('marks the machine while it lasts; then one press says that it runs again', async () => {
    await open();
    await sheet();
    await press('Runs, not fully', 'radio');
    await press('25 % less', 'radio');
    await press('Now', 'radio');
    await press('Keep the stoppage');
    expect(await machine()).toMatchObject({ condition: 'reduced', conditionSince: present });
    await sheet();
    expect(words()).toContain('Gearbox runs, but not fully since 13:00.');
    await press('It runs again');
    expect([works.said, (await machine())?.condition]).toEqual(['Gearbox runs again.', 'running']);
    expect(await stoppages()).toEqual([expect.objectContaining({ lostPercent: 25, to: present })]);
  });

  it('takes times by the clock, says what it cannot read, and keeps what was typed', async () => {
    await open();
    await sheet();
    await type('Since, by the clock', 'early');
    await press('Keep the stoppage');
    expect(words()).toContain('Write the time as 14:20.');
    await type('Since, by the clock', '7:40');
    await type('Until, by the clock', '8.10');
    await press('Keep the stoppage');
    expect(await stoppages()).toEqual([
      expect.objectContaining({ from: '2026-11-23T06:40:00.000Z', to: '2026-11-23T07:10:00.000Z' }),
    ]);
  });

  it('takes how long it stood, from a time that says its day', async () => {
    await open();
    await sheet();
    await type('Since, by the clock', '20:00');
    expect(words()).toContain('It is not 20:00 yet. Yesterday?');
    await press('Yesterday, 20:00');
    expect(words()).toContain('yesterday 20:00');
    await press('For so long', 'radio');
    await type('How long it stood', '40');
    await press('Keep the stoppage');
    expect(words()).toContain('40 minutes or 40 hours?');
    await press(/^40.min$/);
    await press('Keep the stoppage');
    expect(await stoppages()).toMatchObject([{ from: '2026-11-22T19:00:00.000Z', to: '2026-11-22T19:40:00.000Z' }]);
  });

  it('is of the machine, or of what it is part of', async () => {
    const lift = asId<AssetId>('lift');
    await open([
      ...smallWorks({ state: 'underway' }),
      put('assets', anAsset({ id: lift, name: 'Lift' })),
      put('assets', anAsset({ parentId: lift })),
    ]);
    await sheet();
    await press('Lift', 'radio');
    await press('Keep the stoppage');
    const after = await works.sent();
    expect([after.peek('assets', lift)?.condition, after.peek('assets', assetId)?.condition]).toEqual([
      'stopped',
      'running',
    ]);
  });
});

function Page() {
  const asset = useRow('assets', assetId);
  return asset === undefined ? null : <MarkMachine asset={asset} onClose={onClose} />;
}

describe('marking a machine on its page', () => {
  it('is the same act: on my job there', async () => {
    await open();
    await works.show(<Page />);
    await press('Out from now on');
    expect(await stoppages()).toEqual([expect.objectContaining({ to: null, extent: 'full' })]);
    expect((await machine())?.condition).toBe('stopped');
  });

  it('raises work with it where I have none there, and asks what is wrong', async () => {
    await open(smallWorks({ state: 'underway', personIds: [lea.id] }));
    await works.show(<Page />);
    await press('Out from now on');
    expect(onClose).not.toHaveBeenCalled();
    await type('What is wrong', 'Shaft is broken');
    await press('Out from now on');
    const after = await works.sent();
    const raised = after.peekAll('workOrders').find(({ title }) => title === 'Shaft is broken');
    expect(raised).toMatchObject({ assetId, urgency: 'now', kind: 'corrective' });
    expect(after.peek('assets', assetId)?.openStoppages).toEqual([
      expect.objectContaining({ workOrderId: raised?.id }),
    ]);
  });
});

describe('wrapping up', () => {
  const stopped = (id: string, from: number, to: number | null) =>
    put(
      'entries',
      anEntry(
        {
          kind: 'stoppage',
          from: minutesLater(from),
          to: to === null ? null : minutesLater(to),
          extent: 'full',
          isPlanned: false,
        },
        { id: asId<EntryId>(id) },
      ),
    );
  function WrapUp() {
    const entries = useRows('entries', 'workOrder', workId);
    return (
      <OnWork>
        {(work) => (
          <>
            <StoodStill work={work} entries={entries} />
            <StillOut work={work} entries={entries} doneOn="" />
          </>
        )}
      </OnWork>
    );
  }

  it('says how long the machine stood still, each minute once, and by operating hours', async () => {
    const hours = [{ weekday: 1, from: '11:00', to: '18:00' }];
    await open([
      ...smallWorks({ state: 'underway' }),
      stopped('a', -120, -30),
      stopped('b', -60, 0),
      put('sites', { id: site, name: 'Site', zone: null, currency: null, operatingHours: hours }),
    ]);
    await works.show(<WrapUp />);
    expect(words()).toMatch(/Gearbox: stood still 2.h, 1.h of it in operating hours/);
    expect(canPress('It runs again')).toBe(false);
  });

  it('asks about a stoppage that was forgotten', async () => {
    await open([...smallWorks({ state: 'underway' }), stopped('a', -120, null)]);
    await works.show(<WrapUp />);
    expect(words()).toContain('Gearbox is out since 10:00. Does it run again?');
    await press('It runs again');
    expect(await stoppages()).toEqual([expect.objectContaining({ to: present })]);
  });
});
