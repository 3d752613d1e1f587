import type { ComponentType, ReactElement } from 'react';
import type { Step, StepAnswer, StepKindName, StepQuestion } from '@oilcan/core/steps/steps';
import { ChoiceAnswering } from './choice/choice-answering';
import { FindingAnswering } from './finding/finding-answering';
import type { Answering } from './kind-answering';
import { MeterAnswering } from './meter/meter-answering';
import { NumberAnswering } from './number/number-answering';
import { PhotoAnswering } from './photo/photo-answering';
import { SignatureAnswering } from './signature/signature-answering';
import { TextAnswering } from './text/text-answering';
import { TickAnswering } from './tick/tick-answering';

const answering: { readonly [K in StepKindName]: Answering<K> } = {
  tick: TickAnswering,
  finding: FindingAnswering,
  number: NumberAnswering,
  meter: MeterAnswering,
  choice: ChoiceAnswering,
  text: TextAnswering,
  photo: PhotoAnswering,
  signature: SignatureAnswering,
};

/** As code sees it that draws a step of any kind. */
export type AnyAnswering = ComponentType<{
  readonly step: Step;
  readonly question: StepQuestion;
  readonly answer: StepAnswer | null;
  readonly canAnswer: boolean;
  readonly onAnswer: (answer: StepAnswer | null, then?: () => void) => void;
  readonly words: ReactElement;
}>;

/** What a kind is answered with; undefined for one that only a later Oilcan knows. */
export function answeringOf(type: string): AnyAnswering | undefined {
  return Object.hasOwn(answering, type) ? (answering[type as StepKindName] as unknown as AnyAnswering) : undefined;
}
