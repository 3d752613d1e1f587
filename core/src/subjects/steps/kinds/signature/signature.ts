import { LONGEST_LINE, textField } from '../../../../kernel/schema/fields';
import { accepted, refuse } from '../../../../operations/operation';
import { plainKind, type StepKind } from '../step-kind';

/** The longest signature, in characters of its path. */
const LONGEST_SIGNATURE = 20_000;
/** Moves and straight lines in whole numbers, as SVG writes a path (SVG 2, 9.3). */
const PATH_FORM = /^(?:[ML]-?\d{1,5} -?\d{1,5})+$/;

declare module '../step-kind' {
  interface StepQuestions {
    /** Who is to sign, such as “Operator on duty”. */
    signature: { readonly who: string };
  }
  interface StepAnswers {
    signature: {
      /** Who signed. */
      readonly name: string;
      /** What was drawn, as the data of an SVG path of straight lines. */
      readonly path: string;
    };
  }
}

/** Somebody signs for something. */
export const signature: StepKind<'signature'> = {
  ...plainKind,
  question: { who: textField(LONGEST_LINE) },
  answer: {
    name: textField(LONGEST_LINE),
    path: textField(LONGEST_SIGNATURE),
  },
  check: (_question, { path }) => {
    if (!PATH_FORM.test(path)) return refuse('signature_no_drawing', {}, 'path');
    return path.includes('L') ? accepted : refuse('signature_empty', {}, 'path');
  },
  said: (_question, { name }) => name,
};
