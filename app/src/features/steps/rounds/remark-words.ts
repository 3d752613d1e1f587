import type { Remark } from '@oilcan/core/steps/rounds';
import { levelWords } from '../../../words/work-words';
import { answerWords } from '../steps/words';
import { phoneNames } from '../../frame/views/names';

/** What was found at a step, in words: “Hoses and rod dry: faulty still”. */
export function remarkWords({ step, level, faulty }: Remark): string {
  const said = answerWords(step.answer?.value ?? null, step.question, phoneNames);
  const beyond = level === 'normal' ? '' : `, ${levelWords[level].toLowerCase()}`;
  return faulty === null ? `${step.text}: ${said}${beyond}` : `${step.text}: ${said}`;
}
