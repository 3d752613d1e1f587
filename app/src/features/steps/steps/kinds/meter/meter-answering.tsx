import { useState, type ReactElement } from 'react';
import type { Limits } from '@oilcan/core/plant/plant';
import { useRow } from '../../../../../data/store/store';
import { NumberSheet } from '../../../readings';
import { Beside } from '../beside';
import type { AnsweringProps } from '../kind-answering';
import { ValueButton } from '../value-button';

const noLimits: Limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null };

export function MeterAnswering({
  step,
  question,
  answer,
  canAnswer,
  onAnswer,
  words,
}: AnsweringProps<'meter'>): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  const point = useRow('points', question.pointId);
  const unit = point?.unit ?? '';
  const shown = answer === null ? `Meter, ${unit}` : `${answer.value.toFixed(point?.decimals ?? 0)} ${unit}`;
  return (
    <Beside words={words}>
      <ValueButton
        word={shown}
        label={answer === null ? `Type ${step.text} in ${unit}` : `${step.text}: ${shown}`}
        isGiven={answer !== null}
        disabled={!canAnswer}
        onPress={() => setIsOpen(true)}
      />
      {isOpen ? (
        <NumberSheet
          title={step.text}
          unit={unit}
          limits={point?.limits ?? noLimits}
          pointId={question.pointId}
          onClose={() => setIsOpen(false)}
          onKeep={(value) => {
            onAnswer({ type: 'meter', value });
            setIsOpen(false);
          }}
        />
      ) : null}
    </Beside>
  );
}
