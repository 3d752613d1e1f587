import { memo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { levelOf } from '@oilcan/core/readings';
import { inOrder, outcomes, progressOf, type Step, type StepAnswer, type StepOutcome } from '@oilcan/core/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { performOrSay } from '../../data/use-operation';
import { useRow, useRows } from '../../data/store';
import { Icon } from '../../ui/icon';
import { Press } from '../../ui/press';
import { CORNER, GAP, RULE } from '../../ui/theme';
import { usePalette } from '../../ui/use-palette';
import { VerdictShape } from '../../ui/verdict-shape';
import { Words } from '../../ui/words';
import { levelWords, outcomeWords } from '../../words/work-words';
import { NumberSheet } from '../readings';
import { Section } from '../../ui/section';
import { stepElement } from './step-element';
import { mdiCheck } from '@mdi/js';

/** The steps, one under the other. */
export function WorkPart({
  work,
  onPlaced,
}: {
  readonly work: WorkOrder;
  readonly onPlaced: (element: HTMLElement | null) => void;
}): ReactElement {
  const steps = useRows('steps', 'workOrder', work.id);
  const { done, of } = progressOf(steps);
  return (
    <Section title="Work" onPlaced={onPlaced} {...(of === 0 ? {} : { aside: `${done} of ${of} steps` })}>
      {of === 0 ? (
        <Words soft style={sheet.none}>
          No steps are written down for this job.
        </Words>
      ) : (
        inOrder(steps).map((step) => <StepRow key={step.id} stepId={step.id} canAnswer={isOpen(work.state)} />)
      )}
    </Section>
  );
}

/** One step; draws again only when this step changes. */
const StepRow = memo(function StepRow({
  stepId,
  canAnswer,
}: {
  readonly stepId: string;
  readonly canAnswer: boolean;
}): ReactElement | null {
  const step = useRow('steps', stepId);
  if (step === undefined) return null;
  const answer = (value: StepAnswer | null): void => {
    if (canAnswer) void performOrSay('step.answer', { workOrderId: step.workOrderId, stepId: step.id, answer: value });
  };
  return (
    <View id={stepElement(step.id)}>
      <StepAnswering step={step} canAnswer={canAnswer} onAnswer={answer} />
    </View>
  );
});

function StepAnswering(props: StepProps): ReactElement {
  const { question } = props.step;
  switch (question.type) {
    case 'tick':
      return <TickStep {...props} />;
    case 'verdict':
      return <VerdictStep {...props} />;
    case 'number':
      return <NumberStep {...props} question={question} />;
  }
}

interface StepProps {
  readonly step: Step;
  readonly canAnswer: boolean;
  readonly onAnswer: (answer: StepAnswer | null) => void;
}

function TickStep({ step, canAnswer, onAnswer }: StepProps): ReactElement {
  const palette = usePalette();
  const isDone = step.answer !== null;
  return (
    <Press
      role="checkbox"
      checked={isDone}
      disabled={!canAnswer}
      label={step.text}
      onPress={() => onAnswer(isDone ? null : { type: 'tick' })}
      style={[sheet.row, { borderColor: palette.line }]}
    >
      <StepText step={step} />
      <View
        style={[
          sheet.box,
          {
            borderColor: isDone ? palette.green : palette.edge,
            backgroundColor: isDone ? palette.green : palette.card,
          },
        ]}
      >
        {isDone ? <Icon path={mdiCheck} size={26} color={palette.onGreen} /> : null}
      </View>
    </Press>
  );
}

function VerdictStep({ step, canAnswer, onAnswer }: StepProps): ReactElement {
  const palette = usePalette();
  const given = step.answer?.value.type === 'verdict' ? step.answer.value.outcome : null;
  return (
    <View style={[sheet.stacked, { borderColor: palette.line }]}>
      <StepText step={step} />
      <View style={sheet.verdicts} role="radiogroup" aria-label={step.text}>
        {outcomes.map((outcome) => (
          <VerdictButton
            key={outcome}
            outcome={outcome}
            isGiven={given === outcome}
            disabled={!canAnswer}
            onPress={() => onAnswer(given === outcome ? null : { type: 'verdict', outcome })}
          />
        ))}
      </View>
    </View>
  );
}

interface VerdictButtonProps {
  readonly outcome: StepOutcome;
  readonly isGiven: boolean;
  readonly disabled: boolean;
  readonly onPress: () => void;
}

function VerdictButton({ outcome, isGiven, disabled, onPress }: VerdictButtonProps): ReactElement {
  const palette = usePalette();
  const color = isGiven ? palette[outcome] : palette.ink;
  return (
    <Press
      role="radio"
      checked={isGiven}
      disabled={disabled}
      onPress={onPress}
      style={[
        sheet.verdict,
        {
          borderColor: isGiven ? palette[outcome] : palette.edge,
          backgroundColor: isGiven ? palette.chosen : palette.card,
        },
      ]}
    >
      <VerdictShape outcome={outcome} color={color} />
      <Words as="label" color={color}>
        {outcomeWords[outcome]}
      </Words>
    </Press>
  );
}

type NumberQuestion = Extract<Step['question'], { type: 'number' }>;

function NumberStep({
  step,
  question,
  canAnswer,
  onAnswer,
}: StepProps & { readonly question: NumberQuestion }): ReactElement {
  const palette = usePalette();
  const [isOpen, setIsOpen] = useState(false);
  const given = step.answer?.value.type === 'number' ? step.answer.value.value : null;
  const level = given === null ? 'normal' : levelOf(given, question.limits);
  return (
    <View style={[sheet.row, { borderColor: palette.line }]}>
      <StepText step={step} {...(level === 'normal' ? {} : { remark: levelWords[level] })} />
      <Press
        disabled={!canAnswer}
        onPress={() => setIsOpen(true)}
        label={given === null ? `Type ${step.text} in ${question.unit}` : `${step.text}: ${given} ${question.unit}`}
        style={[
          sheet.number,
          { borderColor: given === null ? palette.edge : palette.green, backgroundColor: palette.card },
        ]}
      >
        <Words as="heading">
          {given === null ? question.unit : `${given.toFixed(question.decimals)} ${question.unit}`}
        </Words>
      </Press>
      {isOpen ? (
        <NumberSheet
          title={step.text}
          unit={question.unit}
          limits={question.limits}
          pointId={question.pointId}
          onClose={() => setIsOpen(false)}
          onKeep={(value) => {
            onAnswer({ type: 'number', value });
            setIsOpen(false);
          }}
        />
      ) : null}
    </View>
  );
}

function StepText({ step, remark }: { readonly step: Step; readonly remark?: string }): ReactElement {
  const palette = usePalette();
  const person = useRow('people', step.answer?.by);
  return (
    <View style={sheet.text}>
      <Words>{step.text}</Words>
      {remark === undefined ? null : (
        <Words as="small" color={palette.faulty}>
          {remark}
        </Words>
      )}
      {person === undefined ? null : (
        <Words as="small" soft>
          {person.name}
        </Words>
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  none: { paddingVertical: 14 },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingVertical: 10,
    borderBottomWidth: 1,
    minHeight: 64,
  },
  stacked: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 12,
    rowGap: 8,
    paddingVertical: 10,
    borderBottomWidth: 1,
  },
  text: { flexGrow: 1, flexShrink: 1, flexBasis: 150, minWidth: 0 },
  box: {
    width: 48,
    height: 48,
    borderWidth: RULE,
    borderRadius: CORNER,
    alignItems: 'center',
    justifyContent: 'center',
  },
  verdicts: { flexDirection: 'row', flexWrap: 'wrap', flexShrink: 1, minWidth: 0, gap: GAP },
  verdict: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    paddingHorizontal: 12,
    borderWidth: RULE,
    borderRadius: CORNER,
  },
  number: { borderWidth: RULE, borderRadius: CORNER, paddingHorizontal: 14, alignItems: 'center' },
});
