import { asId, type FileId, type PointId, type WorkOrderId } from '../../../kernel/ids';
import { minutesBetween } from '../../../kernel/time/instant';
import { applyOperation, fileNamedBy, upgradedOperation } from '../../../registry/operations';
import { entryKinds } from '../../../registry/entries';
import { summarise } from '../../past/past/past-job';
import { tables } from '../../../registry/tables';
import { upgraded, upgradedChange } from '../../../records/upgrade';
import {
  ann,
  anOperation,
  aPoint,
  aStep,
  aWorkOrder,
  bob,
  noon,
  pointId,
  put,
  workId,
} from '../../../testing/builders';
import { codeOf, minutesLater, Works, sideAt } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';
import type { StepAnswer, StepQuestion } from './kinds/kinds';
import { placed } from './branches';
import { newStepsField, type NewStep } from './new-step';

const onWork = { workOrderId: workId };
const limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null };
const options = [
  { key: 'a', words: 'Clear', isFaulty: false },
  { key: 'b', words: 'Milky', isFaulty: true },
];
const sha256 = asId<FileId>('ab'.repeat(32));
const photo = { type: 'photo', fileId: sha256, mediaType: 'image/jpeg', width: 10, height: 10 } as const;

describe('a step of each kind', () => {
  it.each<[StepQuestion, StepAnswer, string]>([
    [{ type: 'finding' }, { type: 'finding', asFound: 'faulty', asLeft: 'putRight' }, 'accepted'],
    [{ type: 'finding' }, { type: 'finding', asFound: 'good', asLeft: 'faulty' as never }, 'left_as_found'],
    [{ type: 'finding' }, { type: 'finding', asFound: 'faulty', asLeft: null as never }, 'left_as_found'],
    [{ type: 'number', unit: 'bar', decimals: 1, limits, pointId: null }, { type: 'number', value: 4.5 }, 'accepted'],
    [
      { type: 'number', unit: 'bar', decimals: 1, limits, pointId: null },
      { type: 'number', value: 1e99 },
      'reading_out_of_range',
    ],
    [{ type: 'choice', options, isSeveral: false }, { type: 'choice', chosen: ['a'] }, 'accepted'],
    [{ type: 'choice', options, isSeveral: false }, { type: 'choice', chosen: ['a', 'b'] }, 'one_option_only'],
    [{ type: 'choice', options, isSeveral: true }, { type: 'choice', chosen: ['a', 'b'] }, 'accepted'],
    [{ type: 'choice', options, isSeveral: true }, { type: 'choice', chosen: ['a', 'a'] }, 'option_unknown'],
    [{ type: 'choice', options, isSeveral: true }, { type: 'choice', chosen: ['c'] }, 'option_unknown'],
    [{ type: 'choice', options, isSeveral: true }, { type: 'choice', chosen: [] }, 'invalid'],
    [{ type: 'text' }, { type: 'text', text: 'Belt 2 is frayed' }, 'accepted'],
    [{ type: 'text' }, { type: 'text', text: '  ' }, 'invalid'],
    [{ type: 'photo' }, photo, 'accepted'],
    [{ type: 'signature', who: 'Operator' }, { type: 'signature', name: 'Eva', path: 'M1 1L2 2' }, 'accepted'],
    [{ type: 'signature', who: 'Operator' }, { type: 'signature', name: 'Eva', path: 'M1 1' }, 'signature_empty'],
    [{ type: 'signature', who: 'Operator' }, { type: 'signature', name: 'Eva', path: '' }, 'accepted'],
    [{ type: 'signature', who: 'Operator' }, { type: 'signature', name: '', path: '' }, 'invalid'],
    [
      { type: 'signature', who: 'Operator' },
      { type: 'signature', name: 'Eva', path: 'M1 1L<svg>' },
      'signature_no_drawing',
    ],
    [{ type: 'tick' }, { type: 'skipped', reason: 'No key' }, 'accepted'],
    [{ type: 'tick' }, { type: 'skipped', reason: '' }, 'invalid'],
    [{ type: 'tick' }, { type: 'text', text: 'x' }, 'answer_of_wrong_kind'],
    [{ type: 'smell' } as never, { type: 'tick' }, 'answer_of_wrong_kind'],
    [{ type: 'smell' } as never, { type: 'smell' } as never, 'invalid'],
  ])('%j, answered %j: %s', async (question, answer, code) => {
    const works = new Works({}, [aStep(1, question)]);
    expect(codeOf(await works.do('step.answer', { ...onWork, stepId: aStep(1).id, answer }))).toBe(code);
    expect(works.records.peek('steps', aStep(1).id)?.answer?.value).toEqual(code === 'accepted' ? answer : undefined);
  });

  it('names the file of its photo, which goes before it', () => {
    const args = { ...onWork, stepId: aStep(1).id, answer: photo };
    expect(fileNamedBy(anOperation('step.answer', args))).toBe(sha256);
    expect(fileNamedBy(anOperation('step.answer', { ...args, answer: { type: 'tick' } }))).toBeNull();
  });

  it('of a meter keeps a reading of it, which only counts up', async () => {
    const meter = asId<PointId>('hours');
    const works = new Works({}, [aStep(1, { type: 'meter', pointId: meter })]);
    works.records.change([put('points', aPoint({ id: meter, isMeter: true, latest: [{ at: noon, value: 410 }] }))]);
    const read = (value: number, at: string) =>
      works.do('step.answer', { ...onWork, stepId: aStep(1).id, answer: { type: 'meter', value } }, ann, at);
    expect(codeOf(await read(409, minutesLater(1)))).toBe('meter_runs_back');
    expect(codeOf(await read(412, minutesLater(2)))).toBe('accepted');
    expect(currentOf(works.entries, 'reading').map(({ content }) => content.value)).toEqual([412]);
  });
});

describe('what was found faulty', () => {
  it('goes into the past by the last answer, with the words of the step', async () => {
    const works = new Works({}, [
      aStep(1, { type: 'finding' }),
      aStep(2, { type: 'choice', options, isSeveral: false }),
    ]);
    const answer = (position: number, given: StepAnswer | null, minute: number) =>
      works.do('step.answer', { ...onWork, stepId: aStep(position).id, answer: given }, ann, minutesLater(minute));
    await answer(1, { type: 'finding', asFound: 'faulty', asLeft: 'faulty' }, 1);
    await answer(1, { type: 'finding', asFound: 'faulty', asLeft: 'putRight' }, 2);
    await answer(2, { type: 'choice', chosen: ['b'] }, 3);
    const kept = () =>
      summarise(entryKinds, aWorkOrder(), works.entries).answers.map(({ text, said, asLeft }) => [text, said, asLeft]);
    expect(kept()).toEqual([
      ['Step 1', '', 'putRight'],
      ['Step 2', 'Milky', 'faulty'],
    ]);
    await answer(1, { type: 'finding', asFound: 'good', asLeft: null }, 4);
    await answer(2, null, 5);
    expect(kept()).toEqual([]);
  });
});

const plain = (text: string, given: Partial<NewStep> = {}): NewStep => ({
  text,
  question: { type: 'finding' },
  under: null,
  when: null,
  ...given,
});

describe('more steps', () => {
  const add = (works: Works, steps: readonly NewStep[], by = ann) =>
    works.do('steps.add', { ...onWork, procedureId: null, steps }, by, minutesLater(5));

  it('come after those that are there, with who added them, their parts and their branches', async () => {
    const works = new Works({}, [aStep(1), aStep(2)]);
    const steps = [plain('Belts'), plain('Which one?', { under: 0, when: { is: 'faulty', step: 0 } })];
    expect(codeOf(await add(works, steps))).toBe('accepted');
    const all = placed(works.records.peekList('steps', 'workOrder', workId));
    expect(all.map(({ step, number, isInForce }) => [step.text, number, isInForce])).toEqual([
      ['Step 1', '1', true],
      ['Step 2', '2', true],
      ['Belts', '3', true],
      ['Which one?', '3.1', false],
    ]);
    expect(all[2]?.step.added).toEqual({ by: ann.id, at: minutesLater(5), procedureId: null });
    const stepId = all[2]?.step.id ?? aStep(9).id;
    const faulty = { type: 'finding', asFound: 'faulty', asLeft: 'faulty' } as const;
    await works.do('step.answer', { ...onWork, stepId, answer: faulty });
    expect(placed(works.records.peekList('steps', 'workOrder', workId))[3]?.isInForce).toBe(true);
  });

  it.each<[string, readonly NewStep[], string]>([
    ['none', [], 'no_steps_given'],
    ['a branch that calls itself', [plain('a', { when: { is: 'faulty', step: 0 } })], 'branch_calls_itself'],
    [
      'a branch that waits for a later step',
      [plain('a', { when: { is: 'faulty', step: 1 } }), plain('b')],
      'branch_waits_for_later',
    ],
    ['a step that is part of itself', [plain('a', { under: 0 })], 'step_part_of_later'],
    [
      'options of one key',
      [plain('a', { question: { type: 'choice', isSeveral: false, options: [...options, ...options] } })],
      'options_alike',
    ],
    ['a point that is not there', [plain('a', { question: { type: 'meter', pointId: asId('none') } })], 'not_found'],
    ['a meter that is none', [plain('a', { question: { type: 'meter', pointId } })], 'point_no_meter'],
    ['a kind that nobody knows', [plain('a', { question: { type: 'smell' } as never })], 'invalid'],
    [
      'a blank unit',
      [plain('a', { question: { type: 'number', unit: ' ', decimals: 0, limits, pointId: null } })],
      'invalid',
    ],
  ])('are refused where they are %s', async (_, steps, code) => {
    const works = new Works({}, [aStep(1)]);
    expect(codeOf(await add(works, steps))).toBe(code);
    expect(works.records.peekList('steps', 'workOrder', workId)).toHaveLength(1);
  });

  it('are not added by somebody who has no part in the job', async () => {
    expect(codeOf(await add(new Works(), [plain('a')], bob))).toBe('work_order_not_yours');
  });

  it('are at most so many at once', () => {
    expect(newStepsField().isValidSync(Array.from({ length: 400 }, () => plain('a')))).toBe(true);
    expect(newStepsField().isValidSync(Array.from({ length: 401 }, () => plain('a')))).toBe(false);
  });
});

describe('minutes of a step', () => {
  const spend = (works: Works, minutes: number, at: number) =>
    works.do(
      'labor.add',
      {
        ...onWork,
        personId: ann.id,
        startedAt: minutesLater(at - minutes),
        minutes,
        timeType: 'regular',
        stepId: aStep(1).id,
      },
      ann,
      minutesLater(at),
    );
  const times = (works: Works) =>
    currentOf(works.entries, 'labor').map(({ content: { startedAt, minutes, stepId } }) => [
      minutesBetween(noon, startedAt),
      minutes,
      stepId ?? null,
    ]);

  it.each([
    [
      12,
      [
        [0, 12, aStep(1).id],
        [12, 48, null],
      ],
    ],
    [
      90,
      [
        [-50, 90, aStep(1).id],
        [40, 20, null],
      ],
    ],
  ])('%d are taken from a clock that runs there: no minute is counted twice', async (minutes, expected) => {
    const works = new Works({}, [aStep(1)]);
    await works.do('clock.start', onWork);
    expect(codeOf(await spend(works, minutes, 40))).toBe('accepted');
    await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(60));
    expect(times(works)).toEqual(expected);
  });

  it('leave a clock alone that began after them, and none where none runs', async () => {
    const works = new Works({}, [aStep(1)]);
    await spend(works, 10, 20);
    await works.do('clock.start', onWork, ann, minutesLater(20));
    await spend(works, 5, 20);
    await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(50));
    expect(times(works).map(([, minutes]) => minutes)).toEqual([10, 5, 30]);
  });

  it('and notes and photos are of steps of the same job only', async () => {
    const works = new Works({}, [aStep(1, { type: 'tick' }, { workOrderId: asId<WorkOrderId>('other') })]);
    const stepId = aStep(1).id;
    expect(codeOf(await spend(works, 5, 20))).toBe('not_found');
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'a', stepId }))).toBe('not_found');
    const { type: _, ...picture } = photo;
    expect(codeOf(await works.do('photo.add', { ...onWork, ...picture, caption: '', stepId }))).toBe('not_found');
  });
});

describe('what an older Oilcan kept', () => {
  const verdict = { type: 'verdict', outcome: 'fixed' };
  const finding = { type: 'finding', asFound: 'faulty', asLeft: 'putRight' };

  it('of a step and its answer is as found and as left', () => {
    const { stopId: _s, parentId: _p, condition: _c, added: _a, ...old } = aStep(1);
    const row = {
      ...old,
      question: { type: 'verdict' },
      answer: { value: verdict, at: noon, by: 'ann', entryId: 'e' },
    };
    const { row: now } = upgradedChange(tables, { table: 'steps', id: row.id, row: row as never }, 7);
    expect(now).toEqual({
      ...aStep(1),
      question: { type: 'finding' },
      answer: { value: finding, at: noon, by: 'ann', entryId: 'e' },
    });
    const content = { kind: 'answer', stepId: 's', answer: verdict };
    expect(upgraded(tables.entries.upgrades, { content }, 7)).toEqual({
      content: { ...content, answer: finding, faulty: { text: '', said: '', asLeft: 'putRight' } },
    });
  });

  it('and had not sent is taken', async () => {
    const works = new Works({}, [aStep(1, { type: 'finding' })]);
    const old = anOperation('step.answer', { ...onWork, stepId: aStep(1).id, answer: verdict as never });
    const { outcome } = await applyOperation(works.records, upgradedOperation(old, 7), ann, sideAt(noon));
    expect(codeOf(outcome)).toBe('accepted');
  });
});
