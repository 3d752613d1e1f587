import fc from 'fast-check';
import { asId, type StepId } from '../../../kernel/ids';
import { ann, aStep, noon } from '../../../testing/builders';
import { inForce, placed, progressOf } from './branches';
import type { AnswerTest } from './condition';
import type { StepAnswer } from './kinds/kinds';
import type { Step } from './step';

const idOf = (position: number): StepId => aStep(position).id;
const answered = (value: StepAnswer): Step['answer'] => ({ value, at: noon, by: ann.id, entryId: asId('e') });

const good: StepAnswer = { type: 'finding', asFound: 'good', asLeft: null };
const faulty: StepAnswer = { type: 'finding', asFound: 'faulty', asLeft: 'faulty' };
const putRight: StepAnswer = { type: 'finding', asFound: 'faulty', asLeft: 'putRight' };
const skipped: StepAnswer = { type: 'skipped', reason: 'no key' };

describe('a branch', () => {
  const limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null };
  const number = { type: 'number', unit: 'bar', decimals: 0, limits, pointId: null } as const;
  const options = ['clear', 'milky', 'metal'].map((key) => ({ key, words: key, isFaulty: key !== 'clear' }));
  const choice = { type: 'choice', isSeveral: true, options } as const;
  const finding = { type: 'finding' } as const;

  it.each<[Step['question'], StepAnswer, AnswerTest, boolean]>([
    [finding, good, { is: 'faulty' }, false],
    [finding, faulty, { is: 'faulty' }, true],
    [finding, putRight, { is: 'faulty' }, true],
    [finding, putRight, { is: 'equal', value: 'putRight' }, true],
    [finding, faulty, { is: 'equal', value: 'putRight' }, false],
    [finding, good, { is: 'answered' }, true],
    [finding, skipped, { is: 'answered' }, false],
    [number, { type: 'number', value: 5 }, { is: 'above', limit: 5 }, false],
    [number, { type: 'number', value: 5.1 }, { is: 'above', limit: 5 }, true],
    [number, { type: 'number', value: 4.9 }, { is: 'below', limit: 5 }, true],
    [number, { type: 'number', value: 4.9 }, { is: 'equal', value: '4.9' }, false],
    [choice, { type: 'choice', chosen: ['clear'] }, { is: 'faulty' }, false],
    [choice, { type: 'choice', chosen: ['clear', 'metal'] }, { is: 'faulty' }, true],
    [choice, { type: 'choice', chosen: ['metal'] }, { is: 'oneOf', values: ['milky', 'metal'] }, true],
    [choice, { type: 'choice', chosen: ['clear'] }, { is: 'oneOf', values: ['milky', 'metal'] }, false],
  ])('of %j, answered %j, asked for %j: %s', (question, value, test, comesUp) => {
    const source = aStep(1, question, { answer: answered(value) });
    const branch = aStep(2, { type: 'tick' }, { condition: { stepId: source.id, test } });
    expect(inForce([source, branch]).has(branch.id)).toBe(comesUp);
  });

  it('that went away takes away what waits for it, though that was answered', () => {
    const test: AnswerTest = { is: 'faulty' };
    const steps = [
      aStep(1, finding, { answer: answered(good) }),
      aStep(2, finding, { condition: { stepId: idOf(1), test }, answer: answered(faulty) }),
      aStep(3, finding, { condition: { stepId: idOf(2), test } }),
    ];
    expect([...inForce(steps)]).toEqual([idOf(1)]);
    expect(progressOf(steps)).toEqual({ done: 1, of: 1 });
  });

  it('that goes round in a circle is asked, and shown', () => {
    const test: AnswerTest = { is: 'faulty' };
    const steps = [
      aStep(1, finding, { condition: { stepId: idOf(1), test } }),
      aStep(2, finding, { parentId: idOf(3) }),
      aStep(3, finding, { parentId: idOf(2) }),
    ];
    expect(
      placed(steps)
        .map(({ step }) => step.id)
        .sort(),
    ).toEqual(steps.map(({ id }) => id));
  });
});

describe('steps in their places', () => {
  it('stand under the step that they are part of, with its number before theirs', () => {
    const steps = [
      aStep(4, { type: 'tick' }, { parentId: idOf(1) }),
      aStep(2),
      aStep(3, { type: 'tick' }, { parentId: idOf(1) }),
      aStep(1),
    ];
    expect(placed(steps).map(({ step, number, depth }) => [step.id, number, depth])).toEqual([
      [idOf(1), '1', 0],
      [idOf(3), '1.1', 1],
      [idOf(4), '1.2', 1],
      [idOf(2), '2', 0],
    ]);
  });
});

/** Findings that each may be part of, and may wait for, any that stand before them. */
const manySteps = fc
  .array(
    fc.record({
      parent: fc.option(fc.nat()),
      source: fc.option(fc.nat()),
      test: fc.constantFrom<AnswerTest>(
        { is: 'answered' },
        { is: 'faulty' },
        { is: 'equal', value: 'good' },
        { is: 'oneOf', values: ['putRight', 'good'] },
      ),
      answer: fc.constantFrom<StepAnswer | null>(null, good, faulty, putRight, skipped),
    }),
    { minLength: 1, maxLength: 30 },
  )
  .map((given) =>
    given.map(({ parent, source, test, answer }, index) => {
      const before = (nat: number | null): StepId | null =>
        nat === null || index === 0 ? null : idOf((nat % index) + 1);
      const stepId = before(source);
      return aStep(
        index + 1,
        { type: 'finding' },
        {
          parentId: before(parent),
          condition: stepId === null ? null : { stepId, test },
          answer: answer === null ? null : answered(answer),
        },
      );
    }),
  );

/** Says of one step, by going back over all that it hangs on, whether it is asked: slow, and plain to read. */
function isAskedNaively(step: Step, all: readonly Step[]): boolean {
  const find = (id: StepId | null): Step | undefined => all.find((each) => each.id === id);
  const parent = find(step.parentId);
  if (parent !== undefined && !isAskedNaively(parent, all)) return false;
  if (step.condition === null) return true;
  const source = find(step.condition.stepId);
  if (source === undefined) return true;
  if (!isAskedNaively(source, all)) return false;
  const value = source.answer?.value;
  if (value?.type !== 'finding') return false;
  const said = [value.asFound, value.asLeft];
  const { test } = step.condition;
  switch (test.is) {
    case 'answered':
      return true;
    case 'faulty':
      return value.asFound === 'faulty';
    case 'equal':
      return said.some((each) => each === test.value);
    case 'oneOf':
      return said.some((each) => each !== null && test.values.includes(each));
    case 'above':
    case 'below':
      return false;
  }
}

describe('for any steps', () => {
  it('those are asked that a naive model asks, in whatever order they come', () => {
    fc.assert(
      fc.property(manySteps, fc.infiniteStream(fc.nat()), (steps, order) => {
        const shuffled = steps.map((step) => ({ step, at: order.next().value })).sort((a, b) => a.at - b.at);
        const asked = inForce(shuffled.map(({ step }) => step));
        for (const step of steps) expect([step.id, asked.has(step.id)]).toEqual([step.id, isAskedNaively(step, steps)]);
      }),
      { numRuns: 400 },
    );
  });

  it('none is lost or placed twice, and progress is never above its total', () => {
    fc.assert(
      fc.property(manySteps, (steps) => {
        const all = placed(steps);
        expect(all.map(({ step }) => step.id).sort()).toEqual(steps.map(({ id }) => id).sort());
        expect(new Set(all.map(({ number }) => number)).size).toBe(steps.length);
        const { done, of } = progressOf(steps);
        expect(done).toBeLessThanOrEqual(of);
        expect(of).toBeLessThanOrEqual(steps.length);
      }),
      { numRuns: 400 },
    );
  });
});
