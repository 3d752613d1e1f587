import type { AnswerOf, QuestionOf, StepKindName } from '@oilcan/core/steps/steps';
import type { Names } from '../../../frame/views/names';

/** A kind of step in words; nothing of it may be left out. */
export interface KindWords<K extends StepKindName> {
  /** An answer in a few words, such as “faulty, put right”. */
  readonly said: (answer: AnswerOf<K>, question: QuestionOf<K>, names: Pick<Names, 'point'>) => string;
  /** What is left free for the answer on paper. */
  readonly onPaper: (question: QuestionOf<K>, names: Pick<Names, 'point'>) => string;
}

/** Room for a hand-written answer. */
export const BLANK = '____________';
