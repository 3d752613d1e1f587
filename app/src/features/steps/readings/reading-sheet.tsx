import { useState, type ReactElement } from 'react';
import { convertReading } from '@oilcan/core/kernel';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { levelOf } from '@oilcan/core/steps/readings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { usePointsNear } from '../../../data/queries/points-near';
import { useRow } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Keypad } from '../../../ui/fields/keypad';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { readNumber } from '../../../words/read-number';
import { noteReading } from './alarm-proposal';
import { useAskedAbout } from './asked-about';
import { DerivedReading } from './derived-reading';
import { FromGaugeKeys } from './from-gauge';
import { PointChoices } from './point-choices';
import type { DockSheetProps } from '../../frame/views/dock-item';
import { ReplacedMeter } from './replaced-meter';
import { TypedReading } from './typed-reading';
import { useGauges } from './use-gauges';

/** A value at one of the machine's measuring points, with its limits and last values in sight. */
export function ReadingSheet({ work, about, onClose }: DockSheetProps): ReactElement {
  const points = usePointsNear(work);
  const [chosen, setChosen] = useState<string | null>(about ?? null);
  const point = points.find((each) => each.id === chosen) ?? points[0];
  if (point === undefined) {
    return (
      <BottomSheet title="Reading" onClose={onClose}>
        <AppText>This machine has no measuring point yet. Write the value down as a note; it is not lost.</AppText>
      </BottomSheet>
    );
  }
  if (point.derived !== undefined) {
    return (
      <DerivedReading
        key={point.id}
        work={work}
        point={point}
        derivation={point.derived}
        points={points}
        onChoose={setChosen}
        onClose={onClose}
      />
    );
  }
  return (
    <PointReading key={point.id} work={work} point={point} points={points} onChoose={setChosen} onClose={onClose} />
  );
}

/** What was typed, in the unit of the point. */
function inUnitOf({ unit, decimals }: MeasuringPoint, typed: number | null, typedIn: string): number | null {
  return typed === null ? null : convertReading(typed, typedIn, unit, decimals + 2);
}

interface Props {
  readonly work: WorkOrder;
  readonly point: MeasuringPoint;
  readonly points: readonly MeasuringPoint[];
  readonly onChoose: (id: string) => void;
  readonly onClose: () => void;
}

function PointReading({ work, point, points, onChoose, onClose }: Props): ReactElement {
  const asset = useRow('assets', point.assetId);
  const [typedIn, setTypedIn] = useState(point.unit);
  const gauges = useGauges(point.isMeter ? undefined : point);
  const [isReplaced, setIsReplaced] = useState(false);
  const { form, submit, refusal } = useOperationForm({
    operation: 'reading.add',
    about: point.id,
    defaultValues: { value: '' },
    read: ({ value: typed }) => {
      const read = readNumber(typed);
      if (read === null) return { unreadable: 'value', hint: 'Write a number, such as 61.5.' };
      const unit = typedIn === point.unit ? {} : { unit: typedIn };
      return { args: { workOrderId: work.id, pointId: point.id, value: read, ...unit } };
    },
    said: (_, typed) => `${point.name} ${typed.value} ${typedIn} kept.`,
    onDone: () => {
      onClose();
      const kept = inUnitOf(point, readNumber(form.getValues('value')), typedIn);
      if (kept !== null) noteReading(work.id, point.id, kept);
    },
  });
  const text = form.watch('value');
  const error = form.formState.errors.value?.message ?? refusal;
  const value = inUnitOf(point, readNumber(text), typedIn);
  const { question, mayKeep } = useAskedAbout(point, text, value);
  const level = value === null ? 'normal' : levelOf(value, point.limits);
  if (isReplaced) {
    return (
      <BottomSheet title={point.name} aside={asset?.name ?? ''} onClose={onClose}>
        <ReplacedMeter work={work} point={point} onDone={onClose} />
      </BottomSheet>
    );
  }
  return (
    <BottomSheet
      title={point.name}
      aside={asset?.name ?? ''}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={value === null ? 'Type the value' : `Keep ${text} ${typedIn}`}
          cannot={value === null && 'Type the value first.'}
          onPress={() => {
            if (mayKeep()) submit();
          }}
        />
      }
    >
      <PointChoices point={point} points={points} onChoose={onChoose} />
      <TypedReading
        text={text}
        value={value}
        unit={point.unit}
        typedIn={typedIn}
        onTypedIn={setTypedIn}
        level={level}
        point={point}
      >
        <FormRefusal sentence={error} />
        {question === null ? null : <AppText live>{question}</AppText>}
      </TypedReading>
      {point.isMeter ? <Button word="The meter was replaced" onPress={() => setIsReplaced(true)} /> : null}
      {gauges === null ? null : (
        <FromGaugeKeys
          gauges={gauges}
          unit={point.unit}
          onValue={(measured, measuredIn) => {
            form.setValue('value', measured);
            setTypedIn(measuredIn);
          }}
        />
      )}
      <Keypad text={text} onChange={(typed) => form.setValue('value', typed)} hasSign={point.scale.from < 0} />
    </BottomSheet>
  );
}
