import { useState, type ReactElement } from 'react';
import { noteReading, NumberSheet } from '../../../readings';
import { Beside } from '../beside';
import type { AnsweringProps } from '../kind-answering';
import { ValueButton } from '../value-button';

export function NumberAnswering({
  step,
  question,
  answer,
  canAnswer,
  onAnswer,
  words,
}: AnsweringProps<'number'>): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  const { unit, decimals, limits, pointId } = question;
  const shown = answer === null ? unit : `${answer.value.toFixed(decimals)} ${unit}`;
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
          limits={limits}
          pointId={pointId}
          onClose={() => setIsOpen(false)}
          onKeep={(value, typed) => {
            // Work is proposed only for a value that was kept.
            onAnswer({ type: 'number', value, ...(typed === undefined ? {} : { typed }) }, () =>
              noteReading(step.workOrderId, pointId, value),
            );
            setIsOpen(false);
          }}
        />
      ) : null}
    </Beside>
  );
}
