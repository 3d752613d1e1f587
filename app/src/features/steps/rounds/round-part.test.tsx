import { act, fireEvent, screen } from '@testing-library/react';
import { asId, type AssetId, type StepId, type StopId } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import { anAsset, aStep, aStop, put, smallWorks, workId } from '@oilcan/core/testing';
import { canPress, press, settled, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { perform, useRows } from '../../../data/store/store';
import { RoundPart } from './round-part';
import { goTo } from './stop-in-sight';

let works: TestWorks;

/** A round over pump 1, pump 2 and pump 3, with two things to look at on each. */
function aRound(): Change[] {
  return [1, 2, 3].flatMap((number): Change[] => {
    const [assetId, stopId] = [asId<AssetId>(`pump-${number}`), asId<StopId>(`stop-${number}`)];
    const step = (letter: string) =>
      put(
        'steps',
        aStep(
          letter === 'a' ? 1 : 2,
          { type: 'finding' },
          { id: asId<StepId>(`s-${number}-${letter}`), stopId, text: letter === 'a' ? 'Seal dry' : 'Runs quietly' },
        ),
      );
    return [
      put('assets', anAsset({ id: assetId, name: `Pump ${number}`, tag: `P-${number}` })),
      put('stops', aStop({ id: stopId, assetId, position: number })),
      step('a'),
      step('b'),
    ];
  });
}

function Round() {
  const stops = useRows('stops', 'workOrder', workId);
  return <OnWork>{(work) => <RoundPart work={work} stops={stops} onPlaced={() => undefined} />}</OnWork>;
}

const open = async (rows: readonly Change[] = aRound()): Promise<void> => {
  works = await TestWorks.open([...smallWorks({ state: 'underway', title: 'Daily round' }), ...rows]);
  await works.show(<Round />);
};
afterEach(async () => {
  goTo(workId, asId<StopId>('none'));
  await works.close();
});

/** Answers both steps of the stop in sight. */
async function answerBoth(first: string, second: string): Promise<void> {
  for (const [index, name] of [first, second].entries()) {
    const found = screen.getAllByRole('radio', { name })[index];
    if (found !== undefined) fireEvent.click(found);
    await settled();
  }
}

describe('a round', () => {
  it('is walked stop by stop, and says how it stands', async () => {
    await open();
    await press('All stops');
    await press(/Pump 1/);
    expect(words()).toContain('0 of 3 stops done');
    expect(words()).toContain('Stop 1 of 3 · 0 of 2 steps');
    await answerBoth('Good', 'Faulty');
    expect(words()).toContain('1 of 3 stops done');
    await press('Next: 2, Pump 2');
    expect(words()).toContain('Stop 2 of 3');
    await press('Next: 3, Pump 3');
    // Pump 2 was passed by: it comes again.
    await answerBoth('Good', 'Good');
    await press('Next: 2, Pump 2');
    await answerBoth('Good', 'Good');
    await press('What came of the round');
    expect(words()).toContain('3 of 3 stops done; 1 thing is faulty still.');
    expect(words()).toContain('Pump 1 · Runs quietly: faulty still');
  });

  it('puts a stop off to the end, and leaves one out with a reason', async () => {
    await open();
    await press('All stops');
    await press(/Pump 1/);
    await press('Put off');
    expect(words()).toContain('Stop 3 of 3');
    await press('Leave out');
    await press('Leave this stop out');
    expect(words()).toContain('Write something first.');
    await press('Weather', 'radio');
    await press('Leave this stop out');
    expect(words()).toContain('Left out: Weather');
    expect(canPress('Good', 'radio')).toBe(false);
    await press('Take it up again');
    expect(canPress('Good', 'radio')).toBe(true);
  });

  it('goes on where the machine of a stop is there no more: its steps are asked and answered', async () => {
    await open(aRound().filter(({ table, id }) => table !== 'assets' || id !== 'pump-1'));
    expect(words()).toMatch(/Stop 1 of 3.*A machine that is not on this phone/);
    await press('Good', 'radio');
    expect(words()).toContain('1 of 2 steps');
    await press('All stops');
    expect(words()).toMatch(/Pump 2/);
  });

  it('is turned around', async () => {
    await open();
    await press('All stops');
    await press('Turn around');
    expect(words()).toMatch(/1Pump 3.*2Pump 2.*3Pump 1/);
  });

  it('goes where a label is, and says that it is another stop, or none', async () => {
    await open();
    await press('All stops');
    await press(/Pump 1/);
    await press('Scan a stop');
    await type('Or type the code', 'P-3');
    await press('Go there');
    expect(works.said).toBe('This is stop 3, Pump 3.');
    expect(words()).toContain('Stop 3 of 3');
    await press('Scan a stop');
    await type('Or type the code', 'A1');
    await press('Go there');
    expect(words()).toContain('Gearbox is on no stop of this round.');
    expect(canPress('Open Gearbox')).toBe(true);
    await press('Report it');
    expect(canPress('Report it')).toBe(true);
    await type('What is wrong with Gearbox?', 'Drips on the walkway');
    await press('Report it');
    expect([works.said, canPress('Report it')]).toEqual([
      expect.stringMatching(/^W-\S+ is raised\. Nobody has it yet\.$/),
      false,
    ]);
    const raised = (await works.sent()).peekAll('workOrders').find(({ cameFrom }) => cameFrom === workId);
    expect([raised?.title, raised?.assetId]).toEqual(['Drips on the walkway', anAsset().id]);
  });

  it('gives the further work what was said where it was found', async () => {
    await open();
    await press('All stops');
    await press(/Pump 2/);
    await answerBoth('Faulty', 'Good');
    const text = 'Chafed through to the braid';
    const stepId = asId<StepId>('s-2-a');
    await act(() => perform('note.add', { workOrderId: workId, stepId, text }));
    await press('All stops');
    await press('What came of the round');
    await press('Raise 1 work order for what is left');
    const [led] = (await works.sent()).peekList('workOrders', 'cameFrom', workId);
    expect(led?.reason).toMatch(/Seal dry: faulty still\n {2}“Chafed through to the braid”$/);
    const carried = (await works.sent()).peekList('entries', 'workOrder', led?.id ?? '');
    expect(carried.map(({ content }) => content)).toEqual([{ kind: 'note', text }]);
  });

  it('makes the further work with one press, machine by machine, and leads there', async () => {
    await open();
    await press('All stops');
    await press(/Pump 2/);
    await answerBoth('Faulty', 'Faulty');
    await press('All stops');
    await press('What came of the round');
    await press('Raise 1 work order for what is left');
    const led = (await works.sent()).peekList('workOrders', 'cameFrom', workId);
    expect(led.map(({ assetId, title, kind }) => [assetId, title, kind])).toEqual([
      ['pump-2', 'Seal dry: faulty still; Runs quietly: faulty still', 'corrective'],
    ]);
    expect(words()).toContain('Led to');
    expect(canPress(/^Raise/)).toBe(false);
  });
});
