import type { ReactElement } from 'react';
import type { Part } from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useStockOf } from '../../../data/queries/stock';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { comesOutOf, fateAtFirst, noNumbers, NumberedPart, unsaidOf, type Numbers } from './numbered-part';

interface Props {
  readonly work: WorkOrder;
  readonly part: Part;
  /** What comes out of the machine. */
  readonly installationId: string;
  readonly onClose: () => void;
}

/** A part with a number comes out and none of the store goes in: what becomes of it. */
export function TakeOutSheet({ work, part, installationId, onClose }: Props): ReactElement {
  const stock = useStockOf(part.id, work.siteId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'part.take-out',
    about: `${work.id} ${installationId}`,
    defaultValues: { comesOut: { ...noNumbers, out: installationId, fate: fateAtFirst(installationId) } as Numbers },
    read: ({ comesOut: numbers }) => {
      const comesOut = comesOutOf(numbers, part, work.assetId);
      if (comesOut === null) return { unreadable: 'comesOut', hint: unsaidOf(numbers, true) ?? '' };
      return { args: { workOrderId: work.id, comesOut } };
    },
    said: `${part.name} is out.`,
    onDone: onClose,
  });
  const unsaid = unsaidOf(form.watch('comesOut'), true);
  return (
    <BottomSheet
      title="Taken out of the machine"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" cannot={unsaid} word="It is out" onPress={submit} />}
    >
      <NumberedPart work={work} part={part} stock={stock} control={form.control} name="comesOut" isOutOnly />
      {unsaid === null ? null : <AppText as="label">{unsaid}</AppText>}
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
