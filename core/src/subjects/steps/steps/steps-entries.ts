import type { AssetId, StepId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { noCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';
import { stepKindNamed, type StepAnswer } from './kinds/kinds';
import type { AsLeft } from './kinds/step-kind';
import { answerUpgraded } from './upgrades';

/** A step answered, or its answer taken back (`null`). */
export interface AnswerContent {
  readonly kind: 'answer';
  readonly stepId: StepId;
  readonly answer: StepAnswer | null;
  /** What was found faulty, in the words of the step and of the answer, and how it was left; null where nothing was. */
  readonly faulty: { readonly text: string; readonly said: string; readonly asLeft: AsLeft } | null;
}

/** What a past keeps of a step that was found faulty: its last answer. */
export interface PastFaultyStep {
  readonly stepId: StepId;
  readonly assetId: AssetId;
  readonly at: Instant;
  readonly text: string;
  readonly said: string;
  readonly asLeft: AsLeft;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    answer: AnswerContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    answer: PastFaultyStep;
  }
}

export const stepsEntries: EntryKindsNamed<'answer'> = {
  answer: {
    ...plainEntry,
    cells: noCells,
    file: ({ answer }) => (answer === null ? null : (stepKindNamed(answer.type)?.file(answer) ?? null)),
    past: {
      keep: (entries) => {
        const last = new Map(entries.map((entry) => [entry.content.stepId, entry]));
        return [...last.values()].flatMap(({ at, assetId, content: { stepId, faulty } }) =>
          faulty === null ? [] : [{ stepId, assetId, at, ...faulty }],
        );
      },
      at: ({ at }) => at,
      words: ({ text, said }) => `${text} ${said}`,
    },
    upgrades: [
      {
        to: 8,
        change: (content) => {
          const answer = answerUpgraded(content['answer']);
          const asLeft = (answer?.['asLeft'] ?? null) as AsLeft | null;
          return { ...content, answer, faulty: asLeft === null ? null : { text: '', said: '', asLeft } };
        },
      },
    ],
  },
};
