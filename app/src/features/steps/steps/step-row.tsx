import { mdiDotsHorizontal } from '@mdi/js';
import { memo, useContext, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { levelOf } from '@oilcan/core/steps/readings';
import type { Step, StepAnswer } from '@oilcan/core/steps/steps';
import { peekRow, perform, useRow } from '../../../data/store/store';
import { sayRefused } from '../../../data/store/use-operation';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { levelWords } from '../../../words/work-words';
import { HazardsFirstOf } from '../../orders/hazards';
import { phoneNames } from '../../frame/views/names';
import { answeringOf } from './kinds/answering-of-kinds';
import { answerWords } from './kinds/words-of-kinds';
import { stepElement } from './step-element';

interface Props {
  readonly stepId: string;
  /** Its number as people say it: `3.1`. */
  readonly number: string;
  readonly depth: number;
  readonly isInForce: boolean;
  readonly canAnswer: boolean;
  /** What else was recorded of it, such as “1 note, 12 min”; empty for nothing. */
  readonly recorded: string;
  /** Whose share it is in, such as “Share of Jonas”; empty for none. */
  readonly holder: string;
  readonly onMore: (stepId: string) => void;
}

/** One step; draws again only when this step changes. */
export const StepRow = memo(function StepRow({
  stepId,
  number,
  depth,
  isInForce,
  canAnswer,
  recorded,
  holder,
  onMore,
}: Props): ReactElement | null {
  const palette = usePalette();
  const step = useRow('steps', stepId);
  const hazardsFirst = useContext(HazardsFirstOf);
  if (step === undefined) return null;
  const answer = (value: StepAnswer | null, then?: () => void): void => {
    if (!canAnswer) return;
    const args = { workOrderId: step.workOrderId, stepId: step.id, answer: value };
    const give = async (): Promise<void> => {
      const outcome = await perform('step.answer', args);
      if (outcome.ok) then?.();
      else if (outcome.code === 'hazards_not_acknowledged') hazardsFirst(() => void give());
      else sayRefused(outcome);
    };
    void give();
  };
  return (
    <View
      role="listitem"
      style={[sheet.row, { borderColor: palette.line, marginLeft: Math.min(depth, MOST_DEPTH) * INDENT }]}
    >
      <Press label={`More of step ${number}`} onPress={() => onMore(stepId)} style={sheet.handle}>
        <AppText as="label" soft>
          {number}
        </AppText>
        <Icon path={mdiDotsHorizontal} size={20} color={palette.inkSoft} />
      </Press>
      <View id={stepElement(step.id)} style={sheet.answering}>
        {isInForce ? (
          <Asked step={step} canAnswer={canAnswer} recorded={recorded} holder={holder} onAnswer={answer} />
        ) : (
          <NotAsked step={step} />
        )}
      </View>
    </View>
  );
});

interface AskedProps {
  readonly step: Step;
  readonly canAnswer: boolean;
  readonly recorded: string;
  readonly holder: string;
  readonly onAnswer: (answer: StepAnswer | null, then?: () => void) => void;
}

function Asked({ step, canAnswer, recorded, holder, onAnswer }: AskedProps): ReactElement {
  const { question } = step;
  const Answering = answeringOf(question.type);
  const given = step.answer?.value ?? null;
  const words = <StepWords step={step} recorded={recorded} holder={holder} />;
  if (Answering === undefined) {
    return (
      <View>
        {words}
        <AppText as="small" soft>
          This Oilcan does not know this kind of step yet. Load it anew to answer; nothing is lost.
        </AppText>
      </View>
    );
  }
  return (
    <Answering
      step={step}
      question={question}
      answer={given?.type === question.type ? given : null}
      canAnswer={canAnswer}
      onAnswer={onAnswer}
      words={words}
    />
  );
}

/** What was answered on a branch that went away stays to be read. */
function NotAsked({ step }: { readonly step: Step }): ReactElement {
  const given = step.answer?.value ?? null;
  const said = answerWords(given, step.question, phoneNames);
  const person = step.answer === null ? undefined : peekRow('people', step.answer.by);
  return (
    <View>
      <AppText soft>{step.text}</AppText>
      <AppText as="small" soft>
        Not asked any more. Was: {said}
        {person === undefined ? '' : `, ${person.name}`}
      </AppText>
    </View>
  );
}

function StepWords({ step, recorded, holder }: Pick<AskedProps, 'step' | 'recorded' | 'holder'>): ReactElement {
  const palette = usePalette();
  const person = useRow('people', step.answer?.by);
  const adder = useRow('people', step.added?.by);
  const beyond = beyondOf(step);
  const given = step.answer?.value;
  const quiet = [
    ...(holder === '' ? [] : [holder]),
    ...(given?.type === 'skipped' ? [`Skipped: ${given.reason}`] : []),
    ...(person === undefined ? [] : [person.name]),
    ...(adder === undefined ? [] : [`added by ${adder.name}`]),
    ...(recorded === '' ? [] : [recorded]),
  ].join(' · ');
  return (
    <View style={sheet.text}>
      <AppText>{step.text}</AppText>
      {beyond === null ? null : (
        <AppText as="small" color={palette.faulty}>
          {beyond}
        </AppText>
      )}
      {quiet === '' ? null : (
        <AppText as="small" soft>
          {quiet}
        </AppText>
      )}
    </View>
  );
}

/** Which limit an answered number is beyond, in words. */
function beyondOf({ question, answer }: Step): string | null {
  const value = answer?.value;
  if (question.type !== 'number' || value?.type !== 'number') return null;
  const level = levelOf(value.value, question.limits);
  return level === 'normal' ? null : levelWords[level];
}

const INDENT = 16;
/** Deeper steps stand no further in: a phone is narrow. */
const MOST_DEPTH = 3;

const sheet = StyleSheet.create({
  // With very large text the handle stands over the answer.
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, borderBottomWidth: 1, paddingVertical: 8 },
  handle: { width: 48, alignItems: 'flex-start', alignSelf: 'flex-start', paddingVertical: 8 },
  answering: { flexGrow: 1, flexShrink: 1, flexBasis: 190, minWidth: 0, justifyContent: 'center' },
  text: { flexGrow: 1, flexShrink: 1, minWidth: 0 },
});
