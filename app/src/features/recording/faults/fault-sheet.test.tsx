import { screen } from '@testing-library/react';
import { asId, type AssetId, type WorkOrderId } from '@oilcan/core/kernel';
import { currentOf } from '@oilcan/core/orders/work';
import { anAsset, aPastJob, assetId, minutesLater, noon, put, smallWorks, workId } from '@oilcan/core/testing';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { RecordList } from '../record/record';
import { FaultSheet } from './fault-sheet';

let works: TestWorks;
const onClose = jest.fn();
const open = async (past = '', more: Parameters<typeof TestWorks.open>[0] = []): Promise<void> => {
  onClose.mockReset();
  works = await TestWorks.open([...smallWorks({ state: 'underway' }), ...more]);
  works.past = past;
  await works.show(<OnWork>{(work) => <FaultSheet work={work} onClose={onClose} />}</OnWork>);
};
afterEach(() => works.close());
const faults = async () =>
  currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'fault').map(({ content }) => content);

const had = (component: string, mode: string) => ({
  component,
  mode,
  mechanism: '1.1',
  cause: '3.4',
  detection: 8,
  activity: 1,
});
const pastWith = (...lists: ReturnType<typeof had>[][]): string => {
  const jobs = lists.map((some, index) =>
    aPastJob({ id: asId<WorkOrderId>(`past-${index}`), at: minutesLater(-(index + 1) * 24 * 60), faults: some }),
  );
  return JSON.stringify({ recordsSince: jobs.at(-1)?.at, cutAt: null, asOf: noon, jobs, ofClass: [] });
};

describe('the Fault sheet', () => {
  it('has what this machine usually had first: one is kept in two presses, coded as the last time', async () => {
    await open(pastWith([had('Output shaft seal', 'ELU')], [had('Output shaft seal', 'ELU')], [had('Bearing', 'NOI')]));
    await screen.findByText('2 times before');
    await press(/^Output shaft seal.*2 times before/);
    await press('Keep the fault');
    expect([works.said, onClose.mock.calls.length]).toEqual(['Fault kept.', 1]);
    expect(await faults()).toEqual([
      expect.objectContaining({
        component: 'Output shaft seal',
        mode: 'ELU',
        mechanism: '1.1',
        cause: '',
        detection: 8,
        activity: null,
      }),
    ]);
  });

  it('finds in plain words, takes what was done and the cause by press, and codes by their names', async () => {
    await open();
    await type('What is wrong', 'bearing hot');
    expect(canPress(/^Bearing: gets too hot/)).toBe(true);
    await press(/^Bearing: gets too hot/);
    await press('Replaced', 'radio');
    await press('Expected wear and tear', 'radio');
    await type('Which part of the machine', 'Bearing, drive end');
    await press('Keep the fault');
    expect(await faults()).toEqual([
      expect.objectContaining({
        component: 'Bearing, drive end',
        mode: 'OHE',
        activity: 1,
        cause: '3.4',
        detection: 8,
      }),
    ]);
  });

  it('is of the machine of the job, or of a part of it that is a machine of its own', async () => {
    const pump = asId<AssetId>('oil-pump');
    await open('', [put('assets', anAsset({ id: pump, name: 'Oil pump', parentId: assetId }))]);
    await type('What is wrong', 'leak');
    await press(/^Oil pump: oil, water/);
    await press('Oil pump', 'radio');
    await press('Keep the fault');
    const [fault] = currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'fault');
    expect(fault?.assetId).toBe(pump);
  });

  it('is told its cause later: the record has both', async () => {
    await open();
    await type('What is wrong', 'vibration');
    await press(/^Bearing: vibrates/);
    await press('Keep the fault');
    await works.show(<OnWork>{(work) => <RecordList work={work} />}</OnWork>);
    await press(/^.*Bearing: vibrates.*cause not said/);
    await press('Amend');
    await press('Maintenance error', 'radio');
    await press('Amend the fault');
    expect(works.said).toBe('Fault amended.');
    expect(await faults()).toEqual([
      expect.objectContaining({ component: 'Bearing', mode: 'VIB', cause: '3.3', detection: 8 }),
    ]);
    expect((await works.sent()).peekList('entries', 'workOrder', workId)).toHaveLength(2);
  });

  it('says when nothing fits, and shows every code on a press', async () => {
    await open();
    await type('What is wrong', 'purple elephant');
    expect(words()).toContain('Nothing in the catalogue fits “purple elephant”.');
    await type('What is wrong', 'other');
    await press(/^Something else/);
    expect(canPress('Documentation', 'radio')).toBe(false);
    await press('Other causes', 'radio');
    await press('Documentation', 'radio');
    await press('Keep the fault');
    expect((await faults())[0]).toMatchObject({ mode: 'OTH', cause: '4.1' });
  });
});
