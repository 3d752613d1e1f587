import { asId, type ProcedureId } from '@oilcan/core/kernel';
import { currentOf } from '@oilcan/core/orders/work';
import { aProcedure, aStep, pointId, put, smallWorks, workId } from '@oilcan/core/testing';
import type { Step } from '@oilcan/core/steps/steps';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { AlarmProposal } from '../readings';
import { WorkPart } from './work-part';

let works: TestWorks;
const open = async (steps: readonly Step[], more: Parameters<typeof TestWorks.open>[0] = []): Promise<void> => {
  works = await TestWorks.open([...smallWorks({ state: 'underway' }, steps), ...more]);
  await works.show(<OnWork>{(work) => <WorkPart work={work} onPlaced={() => undefined} />}</OnWork>);
};
afterEach(() => works.close());

const answerOf = async (position: number) =>
  (await works.sent()).peek('steps', aStep(position).id)?.answer?.value ?? null;

const limits = { alarmLow: null, alertLow: null, alertHigh: 75, alarmHigh: 85 };
const number = { type: 'number', unit: '°C', decimals: 0, limits, pointId: null } as const;
const options = [
  { key: 'clear', words: 'Clear', isFaulty: false },
  { key: 'milky', words: 'Milky', isFaulty: true },
];

describe('a step', () => {
  it('is ticked with one press on its row, and taken back with another', async () => {
    await open([aStep(1), aStep(2)]);
    await press('Step 1', 'checkbox');
    expect(words()).toContain('1 of 2 steps');
    await press('Step 1', 'checkbox');
    expect(words()).toContain('0 of 2 steps');
  });

  it('that looks at something takes good in one press, and faulty and put right in two', async () => {
    await open([aStep(1, { type: 'finding' })]);
    await press('Good', 'radio');
    expect(await answerOf(1)).toEqual({ type: 'finding', asFound: 'good', asLeft: null });
    expect(canPress('Put right', 'checkbox')).toBe(false);
    await press('Faulty', 'radio');
    expect(await answerOf(1)).toEqual({ type: 'finding', asFound: 'faulty', asLeft: 'faulty' });
    await press('Put right', 'checkbox');
    expect(await answerOf(1)).toEqual({ type: 'finding', asFound: 'faulty', asLeft: 'putRight' });
    await press('Put right', 'checkbox');
    expect(await answerOf(1)).toEqual({ type: 'finding', asFound: 'faulty', asLeft: 'faulty' });
    await press('Faulty', 'radio');
    expect(await answerOf(1)).toBeNull();
  });

  it('that asks for a number opens its own keys, and says when it is beyond a limit', async () => {
    await open([aStep(1, number)]);
    await press('Type Step 1 in °C');
    await press('8');
    await press('7');
    await press(/^Keep/);
    expect(words()).toMatch(/87 °C/);
    expect(words()).toMatch(/alarm/i);
  });

  it('that was refused proposes no work, and one that was kept does', async () => {
    const hazards = [{ id: 'h', hazard: 'Drive starts', control: 'Lock out' }];
    for (const [given, isProposed] of [
      [hazards, false],
      [[], true],
    ] as const) {
      works = await TestWorks.open(
        smallWorks({ state: 'underway', hazards: given }, [aStep(1, { ...number, pointId })]),
      );
      await works.show(
        <OnWork>
          {(work) => (
            <>
              <WorkPart work={work} onPlaced={() => undefined} />
              <AlarmProposal work={work} />
            </>
          )}
        </OnWork>,
      );
      await press('Type Step 1 in °C');
      await press('8');
      await press('7');
      await press(/^Keep/);
      expect(canPress('Raise this work order')).toBe(isProposed);
      if (!isProposed) await works.close();
    }
  });

  it('that gives a choice keeps what was chosen, in the order of the options', async () => {
    await open([aStep(1, { type: 'choice', isSeveral: true, options })]);
    await press('Milky', 'checkbox');
    await press('Clear', 'checkbox');
    expect(await answerOf(1)).toEqual({ type: 'choice', chosen: ['clear', 'milky'] });
    await press('Clear', 'checkbox');
    await press('Milky', 'checkbox');
    expect(await answerOf(1)).toBeNull();
  });

  it('that wants words does not take none', async () => {
    await open([aStep(1, { type: 'text' })]);
    await press('Write: Step 1');
    await press('Keep');
    expect(words()).toContain('Write something first.');
    await type('Answer', 'Belt 2 is frayed');
    await press('Keep');
    expect(await answerOf(1)).toEqual({ type: 'text', text: 'Belt 2 is frayed' });
  });

  it('of a kind that only a later Oilcan knows is shown, and says so', async () => {
    await open([aStep(1, { type: 'smell' } as never)]);
    expect(words()).toContain('Step 1');
    expect(words()).toContain('Load it anew to answer; nothing is lost.');
    expect(words()).toContain('0 of 1 steps');
  });
});

describe('a branch', () => {
  const branch = aStep(
    2,
    { type: 'tick' },
    { parentId: aStep(1).id, condition: { stepId: aStep(1).id, test: { is: 'faulty' } } },
  );

  it('comes up by an answer, goes away with it, and keeps what was answered on it', async () => {
    await open([aStep(1, { type: 'finding' }), branch]);
    expect(words()).not.toContain('Step 2');
    expect(words()).toContain('0 of 1 steps');
    await press('Faulty', 'radio');
    await press('Step 2', 'checkbox');
    expect(words()).toContain('2 of 2 steps');
    await press('Good', 'radio');
    expect(words()).toContain('1 of 1 steps');
    expect(words()).toContain('Not asked any more. Was: done');
    await press('Faulty', 'radio');
    expect(words()).toContain('2 of 2 steps');
  });
});

describe('more of a step', () => {
  const more = 'More of step 1';

  it('is a note and minutes of its own, which the row names', async () => {
    await open([aStep(1)]);
    await press(more);
    await type('Note', 'Thread is worn');
    await press('Keep the note');
    await press(more);
    expect(words()).toContain('Thread is worn · Ann');
    await press(/^15/, 'radio');
    await press('Keep the minutes');
    expect(words()).toMatch(/1 note, 15.min/);
    const entries = (await works.sent()).peekList('entries', 'workOrder', workId);
    expect(currentOf(entries, 'labor').map(({ content }) => [content.minutes, content.stepId])).toEqual([
      [15, aStep(1).id],
    ]);
  });

  it('is skipping it with a reason, which counts as dealt with, and is taken back', async () => {
    await open([aStep(1), aStep(2)]);
    await press(more);
    await press('Skip');
    await press('Skip this step');
    expect(words()).toContain('Write something first.');
    await press('No access', 'radio');
    await press('Skip this step');
    expect(words()).toContain('Skipped: No access');
    expect(words()).toContain('1 of 2 steps');
    await press(more);
    await press('Take back');
    expect(words()).toContain('0 of 2 steps');
  });
});

describe('more steps', () => {
  const seal = aProcedure({
    title: 'Change a shaft seal',
    steps: [{ text: 'Hub off', question: { type: 'tick' }, under: null, when: null }],
  });
  const lamp = aProcedure({
    id: asId<ProcedureId>('lamp'),
    title: 'Change a lamp',
    equipmentClasses: [],
    steps: seal.steps,
  });

  it('come out of procedures, those most like the job first, and say who added them', async () => {
    await open([aStep(1)], [put('procedures', lamp), put('procedures', seal)]);
    await press('More steps');
    expect(words().indexOf('Change a shaft seal')).toBeLessThan(words().indexOf('Change a lamp'));
    await press(/Change a shaft seal/, 'checkbox');
    await press('Add 1 step');
    expect(works.said).toBe('1 step of “Change a shaft seal” added.');
    expect(words()).toContain('added by Ann');
    expect(words()).toContain('0 of 2 steps');
  });

  it('come out of several procedures at once, some of them in part, found by a word of a step', async () => {
    const long = aProcedure({
      id: asId<ProcedureId>('long'),
      title: 'Yearly service',
      steps: ['Drain the oil', 'Flush it', 'Fill it'].map((text) => ({ ...seal.steps[0], text }) as never),
    });
    await open([aStep(1)], [put('procedures', lamp), put('procedures', seal), put('procedures', long)]);
    await press('More steps');
    expect(canPress('Add steps')).toBe(false);
    await press(/Change a lamp/, 'checkbox');
    await type('Find a procedure or a step', 'flush');
    expect(words()).not.toContain('Change a shaft seal');
    await press('Only some of its steps: steps of Yearly service');
    await press('2. Flush it', 'checkbox');
    await press('Add 2 steps');
    expect(works.said).toBe('2 steps of 2 procedures added.');
    const steps = [...(await works.sent()).peekList('steps', 'workOrder', workId)];
    const added = steps.filter(({ added: by }) => by !== null).sort((a, b) => a.position - b.position);
    expect(added.map(({ text, added: by }) => `${text}, ${by?.procedureId ?? ''}`)).toEqual([
      `${lamp.steps[0]?.text ?? ''}, lamp`,
      'Flush it, long',
    ]);
  });

  it('are typed, also where there were none', async () => {
    await open([]);
    expect(words()).toContain('No steps are written down for this job.');
    await press('More steps');
    await press('Add this step');
    expect(words()).toContain('Write what is to be done.');
    await type('A step', 'Look at the belts');
    await press('Good or faulty', 'radio');
    await press('Add this step');
    const [added] = (await works.sent()).peekList('steps', 'workOrder', workId);
    expect([added?.text, added?.question.type]).toEqual(['Look at the belts', 'finding']);
  });
});
