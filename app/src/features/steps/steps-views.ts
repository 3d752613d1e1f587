import type { AnswerContent, Step } from '@oilcan/core/steps';
import { outcomeWords } from '../../words/work-words';
import { inWords, type EntryViewsNamed } from '../views/entry-view';
import type { OperationViewsNamed } from '../views/operation-view';

const entries: EntryViewsNamed<'answer'> = {
  answer: {
    ...inWords,
    group: 'steps',
    say: ({ content }, names) => {
      const step = names.step(content.stepId);
      const position = step === undefined ? 'Step' : `Step ${step.position}`;
      return { headline: step?.text ?? 'A step', detail: `${position}, ${answerWords(content.answer, step)}` };
    },
  },
};

function answerWords(answer: AnswerContent['answer'], step: Step | undefined): string {
  if (answer === null) return 'undone';
  switch (answer.type) {
    case 'tick':
      return 'done';
    case 'verdict':
      return outcomeWords[answer.outcome];
    case 'number':
      return `${answer.value} ${step?.question.type === 'number' ? step.question.unit : ''}`.trim();
  }
}

const operations: OperationViewsNamed<'step.answer'> = {
  'step.answer': { say: ({ stepId }, { step }) => step(stepId)?.text ?? 'A step', fields: { answer: 'Value' } },
};

export const stepsViews = { entries, operations };
