import type * as yup from 'yup';
import type { FileId, PointId } from '../../../../kernel/ids';
import { optionalVariantField, variantField } from '../../../../kernel/schema/variant-field';
import { LONGEST_LINE, textField } from '../../../../kernel/schema/fields';
import type { Outcome } from '../../../../operations/operation';
import type { Signature } from '../../../../kernel/signature/signature';
import type { PictureType } from '../../../plant/files/files';
import { choice } from './choice/choice';
import { finding } from './finding/finding';
import { meter } from './meter/meter';
import { number } from './number/number';
import { photo } from './photo/photo';
import { signature } from './signature/signature';
import type { AnswerOf, AsLeft, QuestionOf, StepKind, StepKindName } from './step-kind';
import { text } from './text/text';
import { tick } from './tick/tick';

/** Every kind of step. */
const stepKinds: { readonly [K in StepKindName]: StepKind<K> } = {
  tick,
  finding,
  number,
  meter,
  choice,
  text,
  photo,
  signature,
};

/** What a step asks for. */
export type StepQuestion = { [K in StepKindName]: QuestionOf<K> }[StepKindName];

/** It was not done, and why. */
export interface Skipped {
  readonly type: 'skipped';
  readonly reason: string;
}

/** What answers a step: of its own kind, or why it was skipped. */
export type StepAnswer = { [K in StepKindName]: AnswerOf<K> }[StepKindName] | Skipped;

/** A kind as code sees it that works on any: the link to its question and answer is lost here, and only here. */
interface AnyStepKind {
  readonly question: yup.ObjectShape;
  readonly answer: yup.ObjectShape;
  readonly checkQuestion: (question: StepQuestion) => Outcome;
  readonly check: (question: StepQuestion, answer: StepAnswer) => Outcome;
  readonly faulty: (question: StepQuestion, answer: StepAnswer) => AsLeft | null;
  readonly values: (answer: StepAnswer) => readonly string[];
  readonly number: (answer: StepAnswer) => number | null;
  readonly file: (answer: StepAnswer) => FileId | null;
  readonly picture: ((answer: StepAnswer) => { readonly fileId: FileId; readonly mediaType: PictureType }) | null;
  readonly signature: ((answer: StepAnswer) => Signature) | null;
  readonly point: (question: StepQuestion) => PointId | null;
  readonly said: (question: StepQuestion, answer: StepAnswer) => string;
}

/** A kind by its name; undefined for one that only a later Oilcan knows. */
export function stepKindNamed(name: string): AnyStepKind | undefined {
  return Object.hasOwn(stepKinds, name) ? (stepKinds[name as StepKindName] as unknown as AnyStepKind) : undefined;
}

const all = Object.entries(stepKinds);

/** What a step asks for. */
export const questionField = variantField<StepQuestion>(
  'type',
  Object.fromEntries(all.map(([name, { question }]) => [name, question])),
);

/** An answer of any kind, why the step was skipped, or null to take an answer back. */
export const answerField = optionalVariantField<StepAnswer>('type', {
  ...Object.fromEntries(all.map(([name, { answer }]) => [name, answer])),
  skipped: { reason: textField(LONGEST_LINE) },
});
