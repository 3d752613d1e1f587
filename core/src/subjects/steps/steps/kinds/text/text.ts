import { textField } from '../../../../../kernel/schema/fields';
import { plainKind, type StepKind } from '../step-kind';

const LONGEST_ANSWER = 2_000;

declare module '../step-kind' {
  interface StepQuestions {
    text: object;
  }
  interface StepAnswers {
    text: { readonly text: string };
  }
}

/** Something to write down. */
export const text: StepKind<'text'> = {
  ...plainKind,
  picture: null,
  signature: null,
  answer: { text: textField(LONGEST_ANSWER) },
  said: (_question, { text: written }) => written,
};
