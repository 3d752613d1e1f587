import { levelOf, type ReadingLevel } from '../readings/limits';
import type { StepAnswer, StepQuestion } from './kinds/kinds';

/** Which limit a number that answers a step is beyond; what is no number is beyond none. */
export function levelOfAnswer(question: StepQuestion | undefined, answer: StepAnswer | null): ReadingLevel {
  return question?.type === 'number' && answer?.type === 'number' ? levelOf(answer.value, question.limits) : 'normal';
}
