import { levelOfAnswer } from '@oilcan/core/steps/steps';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { counted, levelWords } from '../../../words/work-words';
import { answerWords } from './kinds/words-of-kinds';

const entries: EntryViewsNamed<'answer'> = {
  answer: {
    ...inWords,
    group: 'steps',
    dock: null,
    say: ({ content: { stepId, answer } }, names) => {
      const step = names.step(stepId);
      const level = levelOfAnswer(step?.question, answer);
      const said = answerWords(answer, step?.question, names);
      return { headline: step?.text ?? 'A step', detail: level === 'normal' ? said : `${said} · ${levelWords[level]}` };
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
