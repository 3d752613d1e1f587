import { useState, type ReactElement } from 'react';
import { convertReading, type PointId } from '@oilcan/core/kernel';
import type { Limits } from '@oilcan/core/plant/plant';
import { levelOf, type TypedValue } from '@oilcan/core/steps/readings';
import { useRow } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Keypad } from '../../../ui/fields/keypad';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { useAskedAbout } from './asked-about';
import { FromGaugeKeys } from './from-gauge';
import { TypedReading } from './typed-reading';
import { useGauges } from './use-gauges';
import { readNumber } from '../../../words/read-number';

interface Props {
  readonly title: string;
  readonly unit: string;
  readonly limits: Limits;
  /** Where the number is a reading: its scale and last values are then in sight. */
  readonly pointId: PointId | null;
  readonly onClose: () => void;
  /** In the unit of the step, with what was typed where that was in another. */
  readonly onKeep: (value: number, typed?: TypedValue) => void;
}

/** A number for a step, on large keys. */
export function NumberSheet({ title, unit, limits, pointId, onClose, onKeep }: Props): ReactElement {
  const point = useRow('points', pointId);
  const [text, setText] = useState('');
  const [typedIn, setTypedIn] = useState(unit);
  const gauges = useGauges(point);
  const typed = readNumber(text);
  const value = typed === null ? null : convertReading(typed, typedIn, unit, (point?.decimals ?? 0) + 2);
  const { question, mayKeep } = useAskedAbout(point, text, value);
  const level = value === null ? 'normal' : levelOf(value, limits);
  return (
    <BottomSheet
      title={title}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={value === null ? 'Type a number' : `Keep ${text} ${typedIn}`}
          cannot={value === null && 'Type a number first.'}
          onPress={() => {
            if (value === null || typed === null || !mayKeep()) return;
            if (typedIn === unit) onKeep(value);
            else onKeep(value, { value: typed, unit: typedIn });
          }}
        />
      }
    >
      <TypedReading
        text={text}
        value={value}
        unit={unit}
        typedIn={typedIn}
        onTypedIn={setTypedIn}
        level={level}
        point={point}
      >
        {question === null ? null : <AppText live>{question}</AppText>}
      </TypedReading>
      {gauges === null ? null : (
        <FromGaugeKeys
          gauges={gauges}
          unit={unit}
          onValue={(measured, measuredIn) => {
            setText(measured);
            setTypedIn(measuredIn);
          }}
        />
      )}
      <Keypad text={text} onChange={setText} hasSign={(limits.alarmLow ?? 0) < 0} />
    </BottomSheet>
  );
}
