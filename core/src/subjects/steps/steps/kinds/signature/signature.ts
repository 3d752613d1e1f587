import { LONGEST_LINE, textField } from '../../../../../kernel/schema/fields';
import { signatureFields, signedBy, whyNoSignature, type Signature } from '../../../../../kernel/signature/signature';
import { accepted, refuse } from '../../../../../operations/operation';
import { plainKind, type StepKind } from '../step-kind';

declare module '../step-kind' {
  interface StepQuestions {
    /** Who is to sign, such as “Operator on duty”. */
    signature: { readonly who: string };
  }
  interface StepAnswers {
    signature: Signature;
  }
}

/** Somebody signs for something. */
export const signature: StepKind<'signature'> = {
  ...plainKind,
  picture: null,
  signature: (answer) => answer,
  question: { who: textField(LONGEST_LINE) },
  answer: signatureFields,
  check: (_question, { path }) => {
    const wrong = whyNoSignature(path);
    return wrong === null ? accepted : refuse(wrong, {}, 'path');
  },
  said: (_question, answer) => signedBy(answer),
};
