import { useState, type ReactElement } from 'react';
import { parseMoney } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/work';
import { takePicture } from '../../data/pictures/take-picture';
import type { ShrunkPicture } from '../../data/pictures/shrink-picture';
import { useSettings } from '../../data/store';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { mdiCamera } from '@mdi/js';

/** Money that was laid out for the job, with a photo of the receipt if there is one. */
export function ExpenseSheet({
  work,
  onClose,
}: {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}): ReactElement {
  const currency = useSettings(work.siteId)?.currency ?? 'EUR';
  const [receipt, setReceipt] = useState<ShrunkPicture | null>(null);
  const [pictureError, setPictureError] = useState<string | null>(null);
  const { form, submit, refusal } = useOperationForm({
    operation: 'expense.add',
    defaultValues: { amount: '', words: '' },
    fieldOf: (argument) => (argument === 'words' ? 'words' : 'amount'),
    read: ({ amount, words }) => {
      const money = parseMoney(amount, currency);
      if (money === undefined) return { unreadable: 'amount', hint: 'Write an amount, such as 12.50.' };
      const photo =
        receipt === null
          ? null
          : { fileId: receipt.id, mediaType: 'image/jpeg' as const, width: receipt.width, height: receipt.height };
      return { args: { workOrderId: work.id, minor: money.minor, currency, words, receipt: photo } };
    },
    said: 'Expense kept.',
    onDone: onClose,
  });
  const photograph = async (): Promise<void> => {
    const taken = await takePicture();
    setPictureError(taken.is === 'failed' ? taken.sentence : null);
    if (taken.is === 'kept') setReceipt(taken.picture);
  };
  return (
    <BottomSheet
      title="Expense"
      aside={work.number}
      onClose={onClose}
      foot={
        <>
          <Button
            word={receipt === null ? 'Photo of the receipt' : 'Another photo'}
            icon={mdiCamera}
            onPress={() => void photograph()}
          />
          <Button main word="Keep the expense" onPress={submit} />
        </>
      }
    >
      <FormField
        control={form.control}
        name="amount"
        label={`Amount in ${currency}`}
        keyboard="decimal-pad"
        autoFocus
      />
      <FormField control={form.control} name="words" label="What for" />
      {receipt === null ? null : <Words soft>The photo of the receipt goes with it.</Words>}
      <FormRefusal sentence={pictureError ?? refusal} />
    </BottomSheet>
  );
}
