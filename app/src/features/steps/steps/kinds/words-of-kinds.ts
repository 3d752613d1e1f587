import type { StepAnswer, StepKindName, StepQuestion } from '@oilcan/core/steps/steps';
import type { Names } from '../../../frame/views/names';
import { choiceWords } from './choice/choice-words';
import { findingKindWords } from './finding/finding-words';
import type { KindWords } from './kind-words';
import { meterWords } from './meter/meter-words';
import { numberWords } from './number/number-words';
import { photoWords } from './photo/photo-words';
import { signatureWords } from './signature/signature-words';
import { textWords } from './text/text-words';
import { tickWords } from './tick/tick-words';

const words: { readonly [K in StepKindName]: KindWords<K> } = {
  tick: tickWords,
  finding: findingKindWords,
  number: numberWords,
  meter: meterWords,
  choice: choiceWords,
  text: textWords,
  photo: photoWords,
  signature: signatureWords,
};

/** The words of a kind as code sees them that works on any; undefined for one that only a later Oilcan knows. */
interface AnyWords {
  readonly said: (answer: StepAnswer, question: StepQuestion | undefined, names: Pick<Names, 'point'>) => string;
  readonly onPaper: (question: StepQuestion, names: Pick<Names, 'point'>) => string;
}

function wordsOf(type: string): AnyWords | undefined {
  return Object.hasOwn(words, type) ? (words[type as StepKindName] as unknown as AnyWords) : undefined;
}

/** An answer in a few words; of a step that is not on this phone only that there was one. */
export function answerWords(
  answer: StepAnswer | null,
  question: StepQuestion | undefined,
  names: Pick<Names, 'point'>,
): string {
  if (answer === null) return 'taken back';
  if (answer.type === 'skipped') return `skipped: ${answer.reason}`;
  if (question?.type !== answer.type) return 'answered';
  return wordsOf(answer.type)?.said(answer, question, names) ?? 'answered';
}

/** What is left free on paper for the answer to a step. */
export function answerOnPaper(question: StepQuestion, names: Pick<Names, 'point'>): string {
  return wordsOf(question.type)?.onPaper(question, names) ?? '';
}
