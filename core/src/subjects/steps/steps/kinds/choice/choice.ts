import * as yup from 'yup';
import { argsSchema, flagField, keyField, LONGEST_LINE, textField } from '../../../../../kernel/schema/fields';
import { accepted, refuse } from '../../../../../operations/operation';
import { plainKind, type StepKind } from '../step-kind';

const MOST_OPTIONS = 20;

export interface ChoiceOption {
  /** Its own within the question. */
  readonly key: string;
  readonly words: string;
  /** Whether choosing it says that something is faulty. */
  readonly isFaulty: boolean;
}

declare module '../step-kind' {
  interface StepQuestions {
    choice: { readonly options: readonly ChoiceOption[]; readonly isSeveral: boolean };
  }
  interface StepAnswers {
    /** The keys of what was chosen, in the order of the options. */
    choice: { readonly chosen: readonly string[] };
  }
}

const option = argsSchema({ key: keyField(), words: textField(LONGEST_LINE), isFaulty: flagField() });

/** One or several of some words. */
export const choice: StepKind<'choice'> = {
  ...plainKind,
  picture: null,
  signature: null,
  question: {
    options: yup.array().strict().of(option).required('Give the options.').min(1).max(MOST_OPTIONS),
    isSeveral: flagField(),
  },
  answer: { chosen: yup.array().strict().of(keyField()).required('Choose something.').min(1).max(MOST_OPTIONS) },
  checkQuestion: ({ options }) =>
    new Set(options.map(({ key }) => key)).size < options.length ? refuse('options_alike', {}, 'options') : accepted,
  check: ({ options, isSeveral }, { chosen }) => {
    const known = new Set(options.map(({ key }) => key));
    const isKnown = chosen.every((key) => known.has(key)) && new Set(chosen).size === chosen.length;
    if (!isKnown) return refuse('option_unknown', {}, 'chosen');
    return chosen.length > 1 && !isSeveral ? refuse('one_option_only', {}, 'chosen') : accepted;
  },
  faulty: ({ options }, { chosen }) =>
    options.some(({ key, isFaulty }) => isFaulty && chosen.includes(key)) ? 'faulty' : null,
  values: ({ chosen }) => chosen,
  said: ({ options }, { chosen }) =>
    options
      .filter(({ key }) => chosen.includes(key))
      .map(({ words }) => words)
      .join(', '),
};
