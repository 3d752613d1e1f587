import type { ReactElement } from 'react';
import { Field, type FieldProps } from './field';

export type FindInputProps = Pick<FieldProps, 'label' | 'value' | 'onChange' | 'onEnter' | 'onFocus'>;

/** A field to look for something with, which is emptied in one press. */
export function FindInput(props: FindInputProps): ReactElement {
  return <Field {...props} isFind />;
}
