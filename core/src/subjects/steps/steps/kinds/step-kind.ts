import type * as yup from 'yup';
import type { FileId, PointId } from '../../../../kernel/ids';
import type { Signature } from '../../../../kernel/signature/signature';
import { accepted, type Outcome } from '../../../../operations/operation';

import type { PictureType } from '../../../plant/files/files';

/** What a step of each kind asks for. Each kind adds its own (`declare module`). */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is filled by the kinds
export interface StepQuestions {}

/** What answers a step of each kind. Each kind adds its own (`declare module`). */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is filled by the kinds
export interface StepAnswers {}

export type StepKindName = keyof StepQuestions & keyof StepAnswers & string;
export type QuestionOf<K extends StepKindName> = { readonly type: K } & StepQuestions[K];
export type AnswerOf<K extends StepKindName> = { readonly type: K } & StepAnswers[K];

/** How something was left that was found faulty. */
export const asLefts = ['putRight', 'faulty'] as const;
export type AsLeft = (typeof asLefts)[number];

/** Everything that there is to say of a kind of step; nothing of it may be left out. */
export interface StepKind<K extends StepKindName> {
  /** The fields of its question, beside `type`. */
  readonly question: yup.ObjectShape;
  /** The fields of its answer, beside `type`. */
  readonly answer: yup.ObjectShape;
  /** Whether a question of the right form makes sense. */
  readonly checkQuestion: (question: QuestionOf<K>) => Outcome;
  /** Whether an answer of the right form answers this question. */
  readonly check: (question: QuestionOf<K>, answer: AnswerOf<K>) => Outcome;
  /** How what was found faulty was left; null where nothing was found faulty. */
  readonly faulty: (question: QuestionOf<K>, answer: AnswerOf<K>) => AsLeft | null;
  /** The words that a branch may ask for. */
  readonly values: (answer: AnswerOf<K>) => readonly string[];
  /** The number that a branch may compare; null for none. */
  readonly number: (answer: AnswerOf<K>) => number | null;
  /** The file that an answer names; null for none. */
  readonly file: (answer: AnswerOf<K>) => FileId | null;
  /** The picture that an answer is; null for kinds that are answered otherwise. */
  readonly picture: ((answer: AnswerOf<K>) => { readonly fileId: FileId; readonly mediaType: PictureType }) | null;
  /** What was signed; null for kinds that nobody signs. */
  readonly signature: ((answer: AnswerOf<K>) => Signature) | null;
  /** The measuring point at which the answer is a reading too; null for none. */
  readonly point: (question: QuestionOf<K>) => PointId | null;
  /** An answer in words, for whoever reads the past without the question. */
  readonly said: (question: QuestionOf<K>, answer: AnswerOf<K>) => string;
}

/** What most kinds are. Whether an answer is a picture or signed is said by each. */
export const plainKind = {
  question: {},
  answer: {},
  checkQuestion: () => accepted,
  check: () => accepted,
  faulty: () => null,
  values: () => [],
  number: () => null,
  file: () => null,
  point: () => null,
  said: () => '',
} as const;
