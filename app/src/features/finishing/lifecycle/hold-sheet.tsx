import type { ReactElement } from 'react';
import { holdReasons, type HoldReason, type WorkOrder } from '@oilcan/core/orders/work';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { holdWords } from '../../../words/work-words';

/** Not done yet: why the work rests, and what is said to whoever goes on with it. My clock on it stops. */
export function HoldSheet({ work, onClose }: { readonly work: WorkOrder; readonly onClose: () => void }): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.hold',
    about: work.id,
    defaultValues: { note: '', reason: 'part' as HoldReason },
    read: ({ note, reason }) => ({ args: { workOrderId: work.id, reason, note: note.trim() } }),
    said: `${work.number} is held.`,
    onDone: onClose,
  });
  const reason = form.watch('reason');
  return (
    <BottomSheet
      title="Not done yet"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={reason === 'shift' ? 'Leave it to the next shift' : 'Hold the job'}
          onPress={submit}
        />
      }
    >
      <Choices label="Reason">
        {holdReasons.map((each) => (
          <Choice
            key={each}
            word={holdWords[each]}
            isChosen={reason === each}
            onPress={() => form.setValue('reason', each)}
          />
        ))}
      </Choices>
      <FormField
        control={form.control}
        name="note"
        label={reason === 'shift' ? 'How far it is, and what comes next' : 'For whoever goes on (not needed)'}
      />
      <FormRefusal sentence={refusal} />
      <AppText as="small" soft>
        If your clock runs here, it stops and its time is kept.
      </AppText>
    </BottomSheet>
  );
}
