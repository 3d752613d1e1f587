import { mdiPencilOutline } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { FormField } from '../../../../../forms/form-field';
import { FormRefusal } from '../../../../../forms/form-refusal';
import { useOperationForm } from '../../../../../forms/use-operation-form';
import { BottomSheet } from '../../../../../ui/layout/bottom-sheet';
import { Button } from '../../../../../ui/press/press';
import { Beside } from '../beside';
import type { AnsweringProps } from '../kind-answering';
import { ValueButton } from '../value-button';

export function TextAnswering({ step, answer, canAnswer, words }: AnsweringProps<'text'>): ReactElement {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <Beside words={words}>
      <ValueButton
        word={answer === null ? 'Write' : answer.text}
        label={answer === null ? `Write: ${step.text}` : `${step.text}: ${answer.text}`}
        icon={mdiPencilOutline}
        isGiven={answer !== null}
        disabled={!canAnswer}
        onPress={() => setIsOpen(true)}
      />
      {isOpen ? <TextSheet step={step} written={answer?.text ?? ''} onClose={() => setIsOpen(false)} /> : null}
    </Beside>
  );
}

function TextSheet({
  step,
  written,
  onClose,
}: Pick<AnsweringProps<'text'>, 'step'> & { readonly written: string; readonly onClose: () => void }): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'step.answer',
    about: step.id,
    defaultValues: { text: written },
    fieldOf: () => 'text',
    read: ({ text }) => ({
      args: { workOrderId: step.workOrderId, stepId: step.id, answer: { type: 'text', text } },
    }),
    said: 'Kept.',
    onDone: onClose,
  });
  return (
    <BottomSheet title={step.text} onClose={onClose} foot={<Button rank="primary" word="Keep" onPress={submit} />}>
      <FormField control={form.control} name="text" label="Answer" lines={4} autoFocus />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
