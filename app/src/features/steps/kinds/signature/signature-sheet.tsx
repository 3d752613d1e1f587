import type { ReactElement } from 'react';
import type { Step } from '@oilcan/core/steps';
import { FormField } from '../../../../forms/form-field';
import { FormRefusal } from '../../../../forms/form-refusal';
import { useOperationForm } from '../../../../forms/use-operation-form';
import { BottomSheet } from '../../../../ui/bottom-sheet';
import { Button } from '../../../../ui/press';
import { Words } from '../../../../ui/words';
import { SignaturePad } from '../../../../ui/signature-pad';

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
    neverKept: ['path'],
    defaultValues: { name: '', path: '' },
    fieldOf: () => 'name',
    read: ({ name, path }) => {
      if (path === '') return { unreadable: 'path', hint: 'Nothing was drawn. Sign in the field first.' };
      return { args: { workOrderId: step.workOrderId, stepId: step.id, answer: { type: 'signature', name, path } } };
    },
    said: 'Signed.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title={who}
      onClose={onClose}
      foot={
        <>
          <Button word="Sign anew" onPress={() => form.setValue('path', '')} />
          <Button main word="Keep the signature" onPress={submit} />
        </>
      }
    >
      <Words soft>{step.text}</Words>
      <FormField control={form.control} name="name" label="Name" />
      <SignaturePad path={form.watch('path')} onDraw={(path) => form.setValue('path', path)} />
      <FormRefusal sentence={form.formState.errors.path?.message ?? refusal} />
    </BottomSheet>
  );
}
