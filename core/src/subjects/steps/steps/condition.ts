import * as yup from 'yup';
import type { StepId } from '../../../kernel/ids';
import { keyField, numberField } from '../../../kernel/schema/fields';
import { stepKindNamed, type StepAnswer, type StepQuestion } from './kinds/kinds';

const MOST_VALUES = 20;

/** What an answer must be for a branch to come up. */
export type AnswerTest =
  | { readonly is: 'answered' }
  /** Found faulty, however it was left. */
  | { readonly is: 'faulty' }
  | { readonly is: 'equal'; readonly value: string }
  | { readonly is: 'oneOf'; readonly values: readonly string[] }
  | { readonly is: 'above'; readonly limit: number }
  | { readonly is: 'below'; readonly limit: number };

/** A branch: the step is asked where another was answered so. */
export interface StepCondition {
  readonly stepId: StepId;
  readonly test: AnswerTest;
}

/** The fields of each test, beside `is`. */
export const testShapes: Readonly<Record<AnswerTest['is'], yup.ObjectShape>> = {
  answered: {},
  faulty: {},
  equal: { value: keyField() },
  oneOf: { values: yup.array().strict().of(keyField()).required('Give the values.').min(1).max(MOST_VALUES) },
  above: { limit: numberField() },
  below: { limit: numberField() },
};

/** Whether an answer passes a test. A skipped step, or one that was not answered, passes none. */
export function passes(test: AnswerTest, question: StepQuestion, answer: StepAnswer | null): boolean {
  if (answer === null || answer.type !== question.type) return false;
  const kind = stepKindNamed(answer.type);
  if (kind === undefined) return false;
  const number = kind.number(answer);
  switch (test.is) {
    case 'answered':
      return true;
    case 'faulty':
      return kind.faulty(question, answer) !== null;
    case 'equal':
      return kind.values(answer).includes(test.value);
    case 'oneOf':
      return kind.values(answer).some((value) => test.values.includes(value));
    case 'above':
      return number !== null && number > test.limit;
    case 'below':
      return number !== null && number < test.limit;
  }
}
