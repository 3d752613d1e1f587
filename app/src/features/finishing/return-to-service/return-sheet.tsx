import { useState, type ReactElement } from 'react';
import { formatDuration } from '@oilcan/core/kernel';
import { costOf, sealOfRecord } from '@oilcan/core/registry';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, useRows } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { NOT_SIGNED, SignatureFormField, unsigned } from '../../../forms/signature-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';

interface Props {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}

/** The machine goes back to those who run it: how it is, with which reservations; whoever takes it signs for what is recorded. */
export function ReturnSheet({ work, onClose }: Props): ReactElement {
  const asset = peekRow('assets', work.assetId);
  const entries = useRows('entries', 'workOrder', work.id);
  // What is signed for is what was here when the sheet opened: what mates record meanwhile was not shown.
  const [shown] = useState(entries);
  const [seal] = useState(() => sealOfRecord(shown));
  const { form, submit, refusal } = useOperationForm({
    operation: 'machine.return',
    about: work.id,
    defaultValues: { condition: 'Ready to run', reservations: '', name: '', ...unsigned },
    neverKept: ['path', 'isByName'],
    fieldOf: (argument) => (argument === 'condition' || argument === 'reservations' ? argument : 'name'),
    read: ({ condition, reservations, name, path, isByName }) => {
      if (path === '' && !isByName) return { unreadable: 'path', hint: NOT_SIGNED };
      const said = { condition: condition.trim(), reservations: reservations.trim(), name: name.trim() };
      return { args: { workOrderId: work.id, ...said, path, entryIds: [...seal.entryIds], hash: seal.hash } };
    },
    said: 'Back in service, signed.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="Back in service"
      aside={asset?.name ?? ''}
      onClose={onClose}
      foot={<Button rank="primary" word="It is back in service" onPress={submit} />}
    >
      <AppText>
        {counted(seal.entryIds.length, 'entry', 'entries')} on {work.number},{' '}
        {formatDuration(costOf(shown).laborMinutes)} of work. The signature stands for these as they are now.
      </AppText>
      <FormField control={form.control} name="condition" label="How it is" />
      <FormField control={form.control} name="reservations" label="Limits on its use (not needed)" />
      <FormField control={form.control} name="name" label="Who takes it" />
      <SignatureFormField control={form.control} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
