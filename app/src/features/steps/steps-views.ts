import { inWords, type EntryViewsNamed } from '../views/entry-view';
import type { OperationViewsNamed } from '../views/operation-view';
import { counted } from '../../words/work-words';
import { answerWords } from './kinds/words-of-kinds';

const entries: EntryViewsNamed<'answer'> = {
  answer: {
    ...inWords,
    group: 'steps',
    say: ({ content: { stepId, answer } }, names) => {
      const step = names.step(stepId);
      return { headline: step?.text ?? 'A step', detail: answerWords(answer, step?.question, names) };
    },
    past: {
      many: 'Found faulty',
      line: ({ text, said, asLeft }) => {
        const left = asLeft === 'putRight' ? 'put right' : 'faulty still';
        return [text === '' ? 'A step' : text, ...(said === '' ? [] : [said]), left].join(', ');
      },
    },
  },
};

const operations: OperationViewsNamed<'step.answer' | 'steps.add'> = {
  'step.answer': { say: ({ stepId }, { step }) => step(stepId)?.text ?? 'A step', fields: { answer: 'Value' } },
  'steps.add': { say: ({ steps }) => `${counted(steps.length, 'step', 'steps')} added`, fields: {} },
};

export const stepsViews = { entries, operations };
