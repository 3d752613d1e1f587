import { useState, type ReactElement } from 'react';
import type { PointId } from '@oilcan/core/kernel';
import type { Limits } from '@oilcan/core/plant';
import { levelOf } from '@oilcan/core/readings';
import { useRow } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Keypad } from '../../ui/keypad';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { useAskedAbout } from './asked-about';
import { TypedReading } from './typed-reading';
import { readNumber } from '../../words/read-number';

interface Props {
  readonly title: string;
  readonly unit: string;
  readonly limits: Limits;
  /** Where the number is a reading: its scale and last values are then in sight. */
  readonly pointId: PointId | null;
  readonly onClose: () => void;
  readonly onKeep: (value: number) => void;
}

/** A number for a step, on large keys. */
export function NumberSheet({ title, unit, limits, pointId, onClose, onKeep }: Props): ReactElement {
  const point = useRow('points', pointId);
  const [text, setText] = useState('');
  const value = readNumber(text);
  const { question, mayKeep } = useAskedAbout(point, text, value);
  const level = value === null ? 'normal' : levelOf(value, limits);
  return (
    <BottomSheet
      title={title}
      onClose={onClose}
      foot={
        <Button
          main
          word={value === null ? 'Type a number' : `Keep ${text} ${unit}`}
          disabled={value === null}
          onPress={() => {
            if (value !== null && mayKeep()) onKeep(value);
          }}
        />
      }
    >
      <TypedReading text={text} unit={unit} level={level} point={point}>
        {question === null ? null : <Words live>{question}</Words>}
      </TypedReading>
      <Keypad text={text} onChange={setText} hasSign={(limits.alarmLow ?? 0) < 0} />
    </BottomSheet>
  );
}
