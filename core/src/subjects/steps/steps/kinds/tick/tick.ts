import { plainKind, type StepKind } from '../step-kind';

declare module '../step-kind' {
  interface StepQuestions {
    tick: object;
  }
  interface StepAnswers {
    tick: object;
  }
}

/** Something to do, ticked off. */
export const tick: StepKind<'tick'> = {
  ...plainKind,
  picture: null,
  signature: null,
  values: () => ['done'],
};
