import { useState, type ReactElement } from 'react';
import { formatQuantity, parseQuantity } from '@oilcan/core/kernel';
import { plannedAmount, type Part } from '@oilcan/core/stores/stock';
import type { KitPart, WorkOrder } from '@oilcan/core/orders/work';
import { useBinName } from '../../../data/queries/stock';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { ReasonField } from '../../../forms/reason-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { AMOUNT_HINT } from '../../../forms/typed-words';

interface Props {
  readonly work: WorkOrder;
  readonly part: Part;
  readonly line: Pick<KitPart, 'partId' | 'binId'>;
  readonly onClose: () => void;
}

/** How much of a part a job needs: another amount, or none after all. */
export function PlannedSheet(props: Props): ReactElement {
  const [isLeavingOut, setIsLeavingOut] = useState(false);
  return isLeavingOut ? (
    <LeaveOutSheet {...props} />
  ) : (
    <OtherAmountSheet {...props} onLeaveOut={() => setIsLeavingOut(true)} />
  );
}

function OtherAmountSheet({
  work,
  part,
  line: { partId, binId },
  onLeaveOut,
  onClose,
}: Props & { readonly onLeaveOut: () => void }): ReactElement {
  const where = useBinName(binId, work.siteId);
  const lines = work.kit.filter((each) => each.partId === partId && each.binId === binId);
  const planned = plannedAmount(lines, part);
  const { form, submit, refusal } = useOperationForm({
    operation: 'part.plan',
    about: `${work.id} ${partId} ${binId}`,
    defaultValues: { quantity: planned?.unit === part.unit ? formatQuantity(planned.quantity) : '', reason: '' },
    read: ({ quantity: typed, reason }) => {
      const quantity = parseQuantity(typed);
      if (quantity === undefined) return { unreadable: 'quantity', hint: AMOUNT_HINT };
      const why = reason.trim() === '' ? {} : { reason: reason.trim() };
      return { args: { workOrderId: work.id, partId, binId, quantity, ...why } };
    },
    said: ({ quantity }) => `${work.number} needs ${amountOf(quantity, part)} ${part.name}.`,
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="How much the job needs"
      aside={part.name}
      onClose={onClose}
      foot={
        <>
          <Button rank="primary" word="Plan this much" onPress={submit} />
          <Button rank="final" word="It is not needed" onPress={onLeaveOut} />
        </>
      }
    >
      <AppText soft>
        {planned === null
          ? 'Not planned any more'
          : `Planned: ${amountOf(planned.quantity, { unit: planned.unit ?? part.unit })}`}
        , from {where}. What was taken stays taken.
      </AppText>
      <FormField
        control={form.control}
        name="quantity"
        label={`Altogether, in ${part.unit}`}
        keyboard="decimal-pad"
        onEnter={submit}
      />
      <FormField control={form.control} name="reason" label="Why, where somebody would ask" onEnter={submit} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

function LeaveOutSheet({ work, part, line: { partId, binId }, onClose }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'part.leave-out',
    about: `${work.id} ${partId} ${binId}`,
    defaultValues: { reason: '' },
    read: ({ reason }) => ({ args: { workOrderId: work.id, partId, binId, reason: reason.trim() } }),
    said: `${part.name} is left out.`,
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="It is not needed"
      aside={part.name}
      onClose={onClose}
      foot={<Button rank="primary" word="Leave it out" onPress={submit} />}
    >
      <ReasonField
        form={form}
        label="Why it is not needed"
        usual={['Still good', 'Another part fits here', 'Was changed lately', 'Planned by mistake']}
        onEnter={submit}
      />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
