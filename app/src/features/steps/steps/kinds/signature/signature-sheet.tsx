import type { ReactElement } from 'react';
import type { Step } from '@oilcan/core/steps/steps';
import { FormField } from '../../../../../forms/form-field';
import { NOT_SIGNED, SignatureFormField, unsigned } from '../../../../../forms/signature-field';
import { FormRefusal } from '../../../../../forms/form-refusal';
import { useOperationForm } from '../../../../../forms/use-operation-form';
import { BottomSheet } from '../../../../../ui/layout/bottom-sheet';
import { Button } from '../../../../../ui/press/press';
import { AppText } from '../../../../../ui/theme/app-text';

interface Props {
  readonly step: Step;
  readonly who: string;
  readonly onClose: () => void;
}

/** Somebody writes their name and signs with a finger. */
export function SignatureSheet({ step, who, onClose }: Props): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'step.answer',
    about: step.id,
    neverKept: ['path', 'isByName'],
    defaultValues: { name: '', ...unsigned },
    fieldOf: () => 'name',
    read: ({ name, path, isByName }) => {
      if (path === '' && !isByName) return { unreadable: 'path', hint: NOT_SIGNED };
      return { args: { workOrderId: step.workOrderId, stepId: step.id, answer: { type: 'signature', name, path } } };
    },
    said: 'Signed.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title={who}
      onClose={onClose}
      foot={<Button rank="primary" word="Keep the signature" onPress={submit} />}
    >
      <AppText soft>{step.text}</AppText>
      <FormField control={form.control} name="name" label="Name" />
      <SignatureFormField control={form.control} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
