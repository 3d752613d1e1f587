import type { ReactElement } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { Field, type FieldProps } from '../ui/fields/field';

interface Props<Values extends FieldValues> extends Omit<FieldProps, 'value' | 'onChange' | 'error' | 'inputRef'> {
  readonly control: Control<Values>;
  readonly name: FieldPath<Values>;
}

/** A field of a form, with what is wrong with it. */
export function FormField<Values extends FieldValues>({ control, name, ...rest }: Props<Values>): ReactElement {
  const { field, fieldState } = useController({ control, name });
  return (
    <Field
      {...rest}
      value={String(field.value ?? '')}
      onChange={field.onChange}
      inputRef={field.ref}
      error={fieldState.error?.message ?? null}
    />
  );
}
