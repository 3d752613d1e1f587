import { act } from '@testing-library/react';
import { addMinutes } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import { ann, aStep, lea, noon, put, site, smallWorks, workId } from '@oilcan/core/testing';
import { settleAccepting } from '../../../data/store/accepting';
import { perform } from '../../../data/store/store';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { WorkPart } from '../../steps/steps/work-part';
import { WrapUpPart } from './wrap-up-part';

let works: TestWorks;
const onCorrect = jest.fn();
const open = async (rows: readonly Change[], person = ann): Promise<void> => {
  onCorrect.mockReset();
  works = await TestWorks.open(rows, person);
  await works.show(
    <OnWork>
      {(work) => (
        <>
          <WorkPart work={work} onPlaced={() => undefined} />
          <WrapUpPart
            work={work}
            onPlaced={() => undefined}
            onCorrect={onCorrect}
            open={null}
            onOpen={() => undefined}
          />
        </>
      )}
    </OnWork>,
  );
};
afterEach(() => works.close());

const work = async () => (await works.sent()).peek('workOrders', workId);

describe('wrapping up', () => {
  it('names what is owed, leads to it, and finishes when nothing is', async () => {
    await open(smallWorks({ state: 'underway' }, [aStep(1)]));
    expect([canPress('Finish'), words().includes('2 things are still missing')]).toEqual([false, true]);
    await press('Step 1');
    expect(onCorrect).toHaveBeenCalledWith(expect.objectContaining({ what: 'step' }));
    await press('Step 1', 'checkbox');
    expect(words()).toContain('1 thing is still missing');
    expect((await work())?.state).toBe('underway');
  });

  it('finishes in two presses when nothing is owed', async () => {
    await open(smallWorks({ state: 'underway', kind: 'improvement' }));
    await press('Finish');
    await press('Yes, it is done');
    expect([works.said, (await work())?.state]).toEqual(['W-1 is finished.', 'finished']);
    expect(words()).toContain('Finished by Ann; the lead has not looked at it yet.');
  });

  it('holds with a reason, and goes on', async () => {
    await open(smallWorks({ state: 'underway' }));
    await press('Put on hold');
    await press('Weather', 'radio');
    await type('For whoever goes on (not needed)', ' Gusts of 90 km/h ');
    await press('Hold the job');
    expect(await work()).toMatchObject({ state: 'held', held: { reason: 'weather', note: 'Gusts of 90 km/h' } });
    await press('Resume');
    expect((await work())?.state).toBe('underway');
  });

  it('is handed back by a lead with what is missing, or accepted', async () => {
    const finished = smallWorks({ state: 'finished', finishedAt: noon, finishedBy: ann.id });
    await open(finished, lea);
    await press('Hand back');
    await press('Hand it back');
    expect((await work())?.state).toBe('finished');
    await type('What is missing', 'Guard is not on');
    await press('Hand it back');
    expect(await work()).toMatchObject({ state: 'underway', handedBack: { reason: 'Guard is not on' } });
    await works.close();
    await open(finished, lea);
    await press('Accept');
    expect([works.said, (await work())?.state]).toEqual(['W-1 accepted.', 'finished']);
    await press('Undo');
    expect((await work())?.state).toBe('finished');
    await press('Accept');
    await act(settleAccepting);
    expect(words()).toContain('Nothing more can be recorded here.');
  });

  it('is dropped by a lead who says why, and by nobody else', async () => {
    await open(smallWorks());
    expect(words()).not.toContain('Drop this work');
    await works.close();
    await open(smallWorks(), lea);
    await press('Drop this work');
    await press('It will not be done');
    expect((await work())?.state).toBe('ready');
    await type('Why', 'The pump is sold');
    await press('It will not be done');
    expect([works.said, (await work())?.state]).toEqual(['W-1 is dropped.', 'dropped']);
  });

  it('shows a lead the clocks of others, and stops one at the time they give', async () => {
    const clock = put('clocks', { id: ann.id, siteId: site, workOrderId: workId, startedAt: addMinutes(noon, -60) });
    await open([...smallWorks({ state: 'underway' }), clock], lea);
    expect(words()).toContain('Clocks that run here');
    await press('Stop the clock of Ann');
    await type('Stopped at', 'noon');
    await press('Stop the clock');
    expect(words()).toContain('Write the time as 14:20.');
    await type('Stopped at', '11:45');
    await type('Why you stop it', 'Went home');
    await press('Stop the clock');
    expect(works.said).toBe('The clock of Ann is stopped.');
    const entries = (await works.sent()).peekList('entries', 'workOrder', workId);
    expect(entries.at(-1)?.content).toMatchObject({
      kind: 'labor',
      personId: ann.id,
      minutes: 45,
      stoppedBecause: 'Went home',
    });
  });

  it('says what a job cost to those who may see it, and its hours to everybody', async () => {
    const time = { workOrderId: workId, startedAt: addMinutes(noon, -60), minutes: 60, timeType: 'regular' as const };
    await open(smallWorks({ state: 'underway' }), lea);
    await act(async () => void (await perform('labor.add', { ...time, personId: lea.id })));
    expect(words()).toContain('1 h · €60.00');
    await works.close();
    const withoutRates = smallWorks({ state: 'underway' }).filter(({ table }) => table !== 'rates');
    await open(withoutRates);
    await act(async () => void (await perform('labor.add', { ...time, personId: ann.id })));
    expect([words().includes('1 h'), words().includes('€0.00')]).toEqual([true, false]);
  });
});
