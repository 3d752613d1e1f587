import type { ReactElement } from 'react';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { Button } from '../../../ui/press/press';
import { readNumber } from '../../../words/read-number';

interface Props {
  readonly work: WorkOrder;
  readonly point: MeasuringPoint;
  readonly onDone: () => void;
}

/** A meter was replaced: what the old one showed last, and the new one first. */
export function ReplacedMeter({ work, point, onDone }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'meter.replace',
    about: point.id,
    defaultValues: { value: '', newValue: '0' },
    read: (typed) => {
      const [value, newValue] = [readNumber(typed.value), readNumber(typed.newValue)];
      if (value === null) return { unreadable: 'value', hint: 'Write a number, such as 4120.' };
      if (newValue === null) return { unreadable: 'newValue', hint: 'Write a number, such as 0.' };
      return { args: { workOrderId: work.id, pointId: point.id, value, newValue } };
    },
    said: 'Meter replaced.',
    onDone,
  });
  return (
    <>
      <FormField control={form.control} name="value" label={`The old one showed, ${point.unit}`} autoFocus />
      <FormField control={form.control} name="newValue" label={`The new one shows, ${point.unit}`} onEnter={submit} />
      <FormRefusal sentence={refusal} />
      <Button rank="primary" word="Keep both" onPress={submit} />
    </>
  );
}
