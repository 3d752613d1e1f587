import type { PointId } from '../../../../../kernel/ids';
import { idField, numberField } from '../../../../../kernel/schema/fields';
import { checkSize } from '../number/number';
import { plainKind, type StepKind } from '../step-kind';

declare module '../step-kind' {
  interface StepQuestions {
    meter: { readonly pointId: PointId };
  }
  interface StepAnswers {
    meter: { readonly value: number };
  }
}

/** What a meter shows, which only counts up. */
export const meter: StepKind<'meter'> = {
  ...plainKind,
  picture: null,
  signature: null,
  question: { pointId: idField<PointId>() },
  answer: { value: numberField() },
  check: (_question, { value }) => checkSize(value),
  number: ({ value }) => value,
  point: ({ pointId }) => pointId,
  said: (_question, { value }) => String(value),
};
