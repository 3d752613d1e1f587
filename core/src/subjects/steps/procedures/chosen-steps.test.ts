import fc from 'fast-check';
import { checkNewSteps, type NewStep } from '../steps/new-step';
import { stepsAfter, stepsChosen } from './chosen-steps';

const finding = (text: string, some: Partial<NewStep> = {}): NewStep => ({
  text,
  question: { type: 'finding' },
  under: null,
  when: null,
  ...some,
});
const faulty = (step: number): NewStep['when'] => ({ is: 'finding', finding: 'faulty', step }) as never;
const list = [
  finding('Guards off'),
  finding('Lining', { under: 0 }),
  finding('Change it', { under: 0, when: faulty(1) }),
  finding('Guards on'),
];

describe('steps that are chosen out of a procedure', () => {
  it('keep what they are part of and what they wait for, where that was chosen too', () => {
    const [lining, change] = stepsChosen(list, [2, 1]);
    expect([lining?.text, lining?.under, change?.text, change?.when]).toEqual(['Lining', null, 'Change it', faulty(0)]);
  });

  it('stand by themselves where it was not', () => {
    expect(stepsChosen(list, [2])).toEqual([finding('Change it')]);
  });

  it('are the list itself where all are chosen, and nothing where none is, or none that is there', () => {
    expect(stepsChosen(list, [3, 2, 1, 0, 0])).toEqual(list);
    expect(stepsChosen(list, [9, -1])).toEqual([]);
  });
});

it('any choice out of any procedures, one after the other, makes a list that makes sense', () => {
  const steps = fc.array(fc.tuple(fc.nat(), fc.nat(), fc.boolean(), fc.boolean()), { maxLength: 12 }).map((drawn) =>
    drawn.map(([under, when, isUnder, isWhen], index) =>
      finding(`${index}`, {
        under: isUnder && index > 0 ? under % index : null,
        when: isWhen && index > 0 ? faulty(when % index) : null,
      }),
    ),
  );
  const chosen = fc.array(fc.tuple(steps, fc.array(fc.nat({ max: 12 }))), { maxLength: 4 });
  fc.assert(
    fc.property(chosen, (procedures) => {
      const all = procedures.reduce<NewStep[]>(
        (before, [each, places]) => [...before, ...stepsAfter(stepsChosen(each, places), before.length)],
        [],
      );
      const made = checkNewSteps(all);
      expect(made.ok || made.code !== 'step_part_of_later').toBe(true);
      expect(made.ok || !['branch_waits_for_later', 'branch_calls_itself'].includes(made.code)).toBe(true);
    }),
  );
});
