import type { ComponentType, ReactElement } from 'react';
import type { AnswerOf, QuestionOf, Step, StepKindName } from '@oilcan/core/steps/steps';

/** What a kind of step is answered with, under or beside its words. */
export interface AnsweringProps<K extends StepKindName> {
  readonly step: Step;
  readonly question: QuestionOf<K>;
  /** The answer that holds; null where there is none, or the step was skipped. */
  readonly answer: AnswerOf<K> | null;
  readonly canAnswer: boolean;
  /** `then` is done once the answer was taken, and not where it was refused. */
  readonly onAnswer: (answer: AnswerOf<K> | null, then?: () => void) => void;
  /** What is to be done, who answered, and what is to be said of it; each kind places it. */
  readonly words: ReactElement;
}

export type Answering<K extends StepKindName> = ComponentType<AnsweringProps<K>>;
