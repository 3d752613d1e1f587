import type { StepId } from '../../kernel/ids';
import { plainEntry, type EntryKindsNamed } from '../work/entry-kinds';
import type { StepAnswer } from './step';

/** A step answered, or its answer taken back (`null`). */
export interface AnswerContent {
  readonly kind: 'answer';
  readonly stepId: StepId;
  readonly answer: StepAnswer | null;
}

declare module '../work/entries' {
  interface EntryContents {
    answer: AnswerContent;
  }
}

export const stepsEntries: EntryKindsNamed<'answer'> = { answer: plainEntry };
