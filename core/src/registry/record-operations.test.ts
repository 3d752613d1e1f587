import fc from 'fast-check';
import { asId, type EntryId, type PointId, type WorkOrderId } from '../kernel/ids';
import { onHandAfter, stockLevelId } from '../subjects/stores/stock/stock';
import { ann, aPart, aPoint, aStep, binId, bob, lea, noon, partId, pointId, put, workId } from '../testing/builders';
import { codeOf, minutesLater, Works } from '../testing/works';
import { currentOf } from '../subjects/orders/work/entries';
import type { Step } from '../subjects/steps/steps/step';
import type { ArgsOf } from './operations';

const onWork = { workOrderId: workId };

describe('parts', () => {
  const use = (quantity: number) => ({ ...onWork, partId, binId, quantity });

  it.each([
    [0, 'quantity_not_positive'],
    [-1_000, 'quantity_not_positive'],
    [500, 'quantity_not_whole'],
    [2e9, 'quantity_too_large'],
    [8_000, 'accepted'],
    [9_000, 'accepted'],
  ])('%d thousandths of 8 on hand: %s', async (quantity, code) => {
    const works = new Works();
    expect(codeOf(await works.do('part.use', use(quantity)))).toBe(code);
    expect(works.onHand).toBe(code === 'accepted' ? 8_000 - quantity : 8_000);
  });

  it('go back when the entry is withdrawn, and the difference when it is amended', async () => {
    const works = new Works();
    await works.do('part.use', use(3_000));
    const first = currentOf(works.entries, 'part')[0]?.id ?? asId<EntryId>('none');
    expect(codeOf(await works.do('part.amend', { ...onWork, entryId: first, quantity: 8_000 }))).toBe('accepted');
    expect(works.onHand).toBe(0);
    const second = currentOf(works.entries, 'part')[0]?.id ?? asId<EntryId>('none');
    expect(codeOf(await works.do('entry.withdraw', { ...onWork, entryId: second, reason: 'put back' }))).toBe(
      'accepted',
    );
    expect(works.onHand).toBe(8_000);
  });

  it('of litres may be fractions', async () => {
    const works = new Works();
    works.records.change([put('parts', aPart({ unit: 'L', isWhole: false }))]);
    expect(codeOf(await works.do('part.use', use(250)))).toBe('accepted');
  });

  it('leave a stock that is always the sum of its movements, below zero where more was taken than there was', () =>
    fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ quantity: fc.integer({ min: -2, max: 6 }), isWithdrawal: fc.boolean() }), {
          maxLength: 20,
        }),
        async (attempts) => {
          const works = new Works();
          for (const { quantity, isWithdrawal } of attempts) {
            const last = currentOf(works.entries, 'part').at(-1);
            if (isWithdrawal && last !== undefined)
              await works.do('entry.withdraw', { ...onWork, entryId: last.id, reason: 'wrong' });
            else await works.do('part.use', use(quantity * 1_000));
            const movements = works.records.peekList('movements', 'level', stockLevelId(partId, binId));
            expect(works.onHand).toBe(onHandAfter(movements));
          }
        },
      ),
      { numRuns: 40 },
    ));
});

describe('readings', () => {
  it('carry their level, and the newest five stay at the point', async () => {
    const works = new Works();
    for (const [index, value] of [70, 76, 86, 60, 61, 62].entries()) {
      expect(codeOf(await works.do('reading.add', { ...onWork, pointId, value }, ann, minutesLater(index)))).toBe(
        'accepted',
      );
    }
    expect(
      currentOf(works.entries, 'reading')
        .map(({ content }) => content.level)
        .slice(0, 3),
    ).toEqual(['normal', 'alert', 'alarm']);
    expect(works.records.peek('points', pointId)?.latest.map(({ value }) => value)).toEqual([76, 86, 60, 61, 62]);
  });

  it('of a meter only count up', async () => {
    const works = new Works();
    works.records.change([put('points', aPoint({ isMeter: true, latest: [{ at: noon, value: 100 }] }))]);
    expect(codeOf(await works.do('reading.add', { ...onWork, pointId, value: 99 }, ann, minutesLater(1)))).toBe(
      'meter_runs_back',
    );
    expect(codeOf(await works.do('reading.add', { ...onWork, pointId, value: 100 }, ann, minutesLater(1)))).toBe(
      'accepted',
    );
  });

  it.each([Number.NaN, Number.POSITIVE_INFINITY, 1e13, '70', null])('of %p are refused', async (value) => {
    expect((await new Works().do('reading.add', { ...onWork, pointId, value: value as number })).ok).toBe(false);
  });

  it('want a measuring point that there is', async () => {
    expect(codeOf(await new Works().do('reading.add', { ...onWork, pointId: asId<PointId>('none'), value: 1 }))).toBe(
      'not_found',
    );
  });
});

describe('steps', () => {
  const inspected = aStep(2, { type: 'finding' });
  const answer = (stepId: Step['id'], value: ArgsOf<'step.answer'>['answer']) => ({ ...onWork, stepId, answer: value });

  it('take the kind of answer they ask for, and can be undone', async () => {
    const works = new Works({}, [aStep(1), inspected]);
    expect(codeOf(await works.do('step.answer', answer(aStep(1).id, { type: 'tick' })))).toBe('accepted');
    expect(works.records.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
    expect(codeOf(await works.do('step.answer', answer(aStep(1).id, null)))).toBe('accepted');
    expect(works.records.peek('steps', aStep(1).id)?.answer).toBeNull();
    expect(codeOf(await works.do('step.answer', answer(inspected.id, { type: 'tick' })))).toBe('answer_of_wrong_kind');
    expect(
      codeOf(
        await works.do('step.answer', answer(inspected.id, { type: 'finding', asFound: 'faulty', asLeft: 'putRight' })),
      ),
    ).toBe('accepted');
    expect(
      codeOf(
        await works.do(
          'step.answer',
          answer(inspected.id, { type: 'finding', asFound: 'fine' as 'good', asLeft: null }),
        ),
      ),
    ).toBe('invalid');
  });

  it('of another work order are not found', async () => {
    const elsewhere = aStep(1, { type: 'tick' }, { workOrderId: asId<WorkOrderId>('w-2') });
    expect(codeOf(await new Works({}, [elsewhere]).do('step.answer', answer(elsewhere.id, { type: 'tick' })))).toBe(
      'not_found',
    );
  });
});

describe('notes', () => {
  it.each([
    ['', 'invalid'],
    ['   ', 'invalid'],
    ['x'.repeat(10_001), 'text_too_long'],
    ['x'.repeat(100_000), 'text_too_long'],
    ['bell\u0007', 'control_characters'],
    ['turned \u202e around', 'control_characters'],
    ['two\nlines, ä, 雪, 👷', 'accepted'],
  ])('%#: %s', async (text, code) => {
    const works = new Works();
    expect(codeOf(await works.do('note.add', { ...onWork, text }))).toBe(code);
    expect(works.entries).toHaveLength(code === 'accepted' ? 1 : 0);
  });

  it('say how long they may be', async () => {
    expect(await new Works().do('note.add', { ...onWork, text: 'x'.repeat(10_001) })).toMatchObject({
      values: { length: 10_001, limit: 10_000 },
      field: 'text',
    });
  });

  it('are amended by their writer or a lead only', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await works.do('note.add', { ...onWork, text: 'first' });
    const entryId = works.entries[0]?.id ?? asId<EntryId>('none');
    expect(codeOf(await works.do('note.amend', { ...onWork, entryId, text: 'second' }, bob))).toBe('entry_of_another');
    expect(codeOf(await works.do('note.amend', { ...onWork, entryId, text: 'second' }, lea))).toBe('accepted');
    expect(currentOf(works.entries, 'note').map(({ content }) => content.text)).toEqual(['second']);
  });
});

describe('a number step at a measuring point', () => {
  const limits = { alarmLow: null, alertLow: null, alertHigh: 75, alarmHigh: 85 };
  const step = aStep(1, { type: 'number', unit: '°C', decimals: 1, limits, pointId });
  const answer = (value: number | null) => ({
    ...onWork,
    stepId: step.id,
    answer: value === null ? null : ({ type: 'number', value } as const),
  });

  it('is a reading too, which follows the answer when it is changed or taken back', async () => {
    const works = new Works({}, [step]);
    const readings = () => currentOf(works.entries, 'reading').map(({ content }) => content.value);
    const latest = () => works.records.peek('points', pointId)?.latest.map(({ value }) => value);
    await works.do('step.answer', answer(68));
    expect([readings(), latest()]).toEqual([[68], [68]]);
    await works.do('step.answer', answer(78), ann, minutesLater(1));
    expect([readings(), latest()]).toEqual([[78], [78]]);
    await works.do('step.answer', answer(null), ann, minutesLater(2));
    expect([readings(), latest()]).toEqual([[], []]);
  });

  it('refuses what the meter cannot have shown', async () => {
    const works = new Works({}, [step]);
    works.records.change([put('points', aPoint({ isMeter: true, latest: [{ at: noon, value: 100 }] }))]);
    expect(await works.do('step.answer', answer(99), ann, minutesLater(1))).toMatchObject({
      code: 'meter_runs_back',
      field: 'answer.value',
    });
  });
});
