import * as yup from 'yup';
import { choiceField } from '../../../../../kernel/schema/fields';
import { accepted, refuse } from '../../../../../operations/operation';
import { asLefts, plainKind, type AsLeft, type StepKind } from '../step-kind';

declare module '../step-kind' {
  interface StepQuestions {
    finding: object;
  }
  interface StepAnswers {
    /** How something was found, and where it was faulty how it was left: “as found” and “as left” of calibration practice. */
    finding:
      { readonly asFound: 'good'; readonly asLeft: null } | { readonly asFound: 'faulty'; readonly asLeft: AsLeft };
  }
}

const asLeftField = yup
  .string()
  .strict()
  .defined()
  .nullable()
  .oneOf([...asLefts, null], 'Say how it was left.');

/** Something to look at. */
export const finding: StepKind<'finding'> = {
  ...plainKind,
  picture: null,
  signature: null,
  answer: { asFound: choiceField(['good', 'faulty']), asLeft: asLeftField },
  check: (_question, { asFound, asLeft }) =>
    (asFound === 'faulty') === (asLeft !== null) ? accepted : refuse('left_as_found', {}, 'asLeft'),
  faulty: (_question, { asLeft }) => asLeft,
  // “Faulty” is as found, however it was left.
  values: ({ asFound, asLeft }) => [asFound, ...(asLeft === 'putRight' ? [asLeft] : [])],
};
