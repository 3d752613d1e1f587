import type { ReactElement } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { Choice, Choices } from '../ui/fields/choice';
import { FormField } from './form-field';

interface Props {
  readonly form: UseFormReturn<{ reason: string }>;
  readonly label: string;
  /** What is pressed instead of typed. */
  readonly usual: readonly string[];
  readonly onEnter: () => void;
}

/** Why something is not done: one of the usual reasons, or typed. */
export function ReasonField({ form, label, usual, onEnter }: Props): ReactElement {
  const typed = form.watch('reason');
  return (
    <>
      <Choices label="Why">
        {usual.map((reason) => (
          <Choice
            key={reason}
            word={reason}
            isChosen={typed === reason}
            onPress={() => form.setValue('reason', reason)}
          />
        ))}
      </Choices>
      <FormField control={form.control} name="reason" label={label} onEnter={onEnter} />
    </>
  );
}
